import { clamp } from '@mint-lamp/core/numbers/clamp';
import type { ResolvedTheme } from '@mint-lamp/core/system/resolve';
import { useCallback } from 'react';
import { UnseenScene } from './unseen-scene.tsx';

/** The share of a scene that each role's ground covers, 0–1, by role id. */
export type Shares = ReadonlyMap<string, number>;

/** Px of the grid that the page is measured on. */
const CELL = 4;

/** Who paints each place of a scene: parts later in it lie over those before. Text and lines are left out. */
function sharesOf(scene: HTMLElement): Shares {
  const all = scene.getBoundingClientRect();
  const [columns, rows] = [Math.ceil(all.width / CELL), Math.ceil(all.height / CELL)];
  const owners: (string | undefined)[] = new Array(columns * rows).fill(undefined);
  for (const part of scene.querySelectorAll<HTMLElement>('[data-ground]')) {
    const box = part.getBoundingClientRect();
    const at = (px: number, from: number, most: number) => clamp(Math.round((px - from) / CELL), 0, most);
    const [left, right] = [at(box.left, all.left, columns), at(box.right, all.left, columns)];
    const [top, bottom] = [at(box.top, all.top, rows), at(box.bottom, all.top, rows)];
    for (let y = top; y < bottom; y++)
      owners.fill(part.dataset.ground, y * columns + left, y * columns + right);
  }
  const counts = new Map<string, number>();
  for (const owner of owners) if (owner) counts.set(owner, (counts.get(owner) ?? 0) + 1);
  return new Map([...counts].map(([role, n]) => [role, n / owners.length]));
}

interface SceneSharesProps {
  theme: ResolvedTheme;
  onMeasured: (shares: Shares) => void;
}

/** Lays the scene out unseen, and tells what each role covers of it. */
export function SceneShares({ theme, onMeasured }: SceneSharesProps) {
  const measure = useCallback((scene: HTMLElement) => onMeasured(sharesOf(scene)), [onMeasured]);
  return <UnseenScene theme={theme} onLaidOut={measure} />;
}
