import { type Area, areaWithin } from '@mint-lamp/core/gradient/area';
import type { SceneUse } from '@mint-lamp/core/judged/pairs/suggested-pairs';
import type { ResolvedTheme } from '@mint-lamp/core/system/resolve';
import { useCallback } from 'react';
import { UnseenScene } from './unseen-scene.tsx';

const holds = (outer: DOMRect, x: number, y: number) =>
  x >= outer.left && x <= outer.right && y >= outer.top && y <= outer.bottom;

/** What is painted under a place of a scene, from below: parts later in it lie over those before. */
function underPlace(scene: HTMLElement, theme: ResolvedTheme, x: number, y: number) {
  let ground: HTMLElement | null = null;
  let gradient: HTMLElement | null = null;
  let veil: string | null = null;
  for (const part of scene.querySelectorAll<HTMLElement>('[data-ground], [data-gradient]')) {
    if (!holds(part.getBoundingClientRect(), x, y)) continue;
    const role = part.dataset.ground!;
    if (part.dataset.gradient) [gradient, veil] = [part, null];
    else if ((theme.roles.get(role)?.color?.alpha ?? 1) < 1 && ground !== null) veil = role;
    else [ground, gradient, veil] = [part, null, null];
  }
  // Where another role stands in, nothing says that the two are meant for each other.
  const stands = ground && !ground.dataset.standIn ? (ground.dataset.ground ?? null) : null;
  return { ground: stands, gradient, veil };
}

const around = (a: Area, b: Area): Area => {
  const [x, y] = [Math.min(a.x, b.x), Math.min(a.y, b.y)];
  return {
    x,
    y,
    width: Math.max(a.x + a.width, b.x + b.width) - x,
    height: Math.max(a.y + a.height, b.y + b.height) - y,
  };
};

/** Every text of a laid out scene with what it really stands on; the smallest where several stand alike. */
export function usesOf(scene: HTMLElement, theme: ResolvedTheme): SceneUse[] {
  const uses = new Map<string, SceneUse>();
  const texts = document.createTreeWalker(scene, NodeFilter.SHOW_TEXT);
  for (let node = texts.nextNode(); node; node = texts.nextNode()) {
    const parent = node.parentElement!;
    const text = parent.closest<HTMLElement>('[data-text]')?.dataset.text;
    if (!text || !node.textContent?.trim()) continue;
    const range = document.createRange();
    range.selectNodeContents(node);
    const box = range.getBoundingClientRect();
    const { ground, gradient, veil } = underPlace(
      scene,
      theme,
      box.left + box.width / 2,
      box.top + box.height / 2,
    );
    if (ground === null) continue;
    const { fontSize, fontWeight } = getComputedStyle(parent);
    const [size, weight] = [Number.parseFloat(fontSize), Number(fontWeight)];
    const key = [text, ground, gradient?.dataset.gradient, veil].join(' ');
    const known = uses.get(key);
    const smaller = known && (known.size < size || (known.size === size && known.weight <= weight));
    const whole = gradient?.getBoundingClientRect();
    const own: Area | null = whole
      ? { x: box.left - whole.left, y: box.top - whole.top, width: box.width, height: box.height }
      : null;
    const before = known?.backdrop?.text;
    const backdrop =
      whole && own
        ? ({
            kind: 'gradient',
            gradient: gradient!.dataset.gradient!,
            width: Math.round(whole.width),
            height: Math.round(whole.height),
            text: areaWithin(
              before ? around(before, own) : own,
              Math.round(whole.width),
              Math.round(whole.height),
            ),
          } as const)
        : null;
    const lettering = smaller ? { size: known.size, weight: known.weight } : { size, weight };
    uses.set(key, { text, ground, backdrop, veil, ...lettering });
  }
  return [...uses.values()];
}

interface SceneUsesProps {
  theme: ResolvedTheme;
  onFound: (uses: readonly SceneUse[]) => void;
}

/** Tells where the scene puts texts. */
export default function SceneUses({ theme, onFound }: SceneUsesProps) {
  const look = useCallback((scene: HTMLElement) => onFound(usesOf(scene, theme)), [theme, onFound]);
  return <UnseenScene theme={theme} onLaidOut={look} />;
}
