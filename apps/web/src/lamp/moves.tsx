import { pointersOf } from '@mint-lamp/core/document/gradients/pointers';
import { followedBy } from '@mint-lamp/core/document/links/following';
import { writeRoleName } from '@mint-lamp/core/document/naming/role-name';
import { differenceOf, type Painted } from '@mint-lamp/core/system/painted';
import type { System } from '@mint-lamp/core/system/resolve';
import { memo, useEffect, useRef, useState } from 'react';
import { useStore } from 'react-redux';
import { selectSystem, useSystem } from '../store/selectors.ts';
import type { AppStore } from '../store/store.ts';
import { ColorChip } from '../ui/color-chip.tsx';

/** The largest changes that are shown. */
const MOST = 3;
/** Ms between two counts while a colour moves: fast enough to be read, slow enough to leave the frames alone. */
const EVERY = 120;

interface Change {
  readonly key: string;
  readonly name: string;
  readonly from: Painted;
  readonly to: Painted;
  readonly difference: number;
}

interface Moved {
  readonly roles: number;
  readonly themes: number;
  readonly families: number;
  readonly gradients: number;
  readonly largest: readonly Change[];
}

/** What is another colour than it was, in all themes; `own` is the thing that is edited itself. */
export function movedSince(before: System, now: System, own: string | null): Moved {
  const changed = new Set<string>();
  for (const [id, family] of now.families) {
    const old = before.families.get(id);
    if (old && old !== family) changed.add(id);
  }
  const families = [...changed].filter((id) =>
    followedBy(now.families.get(id)!.family.follows).some((other) => changed.has(other)),
  );
  const roles = new Set<string>();
  const themes = new Set<string>();
  const largest: Change[] = [];
  for (const [id, theme] of now.themes) {
    const old = before.themes.get(id);
    if (!old || old.roles === theme.roles) continue;
    for (const { role, color } of theme.roles.values()) {
      const was = old.roles.get(role.id)?.color;
      if (!color || !was || was === color || was.css === color.css || role.id === own) continue;
      roles.add(role.id);
      themes.add(id);
      const difference = differenceOf(was, color);
      const last = largest[MOST - 1];
      if (last && last.difference >= difference) continue;
      const name = `${writeRoleName(role)}, ${theme.theme.name}`;
      largest.push({ key: `${id} ${role.id}`, name, from: was, to: color, difference });
      largest.sort((a, b) => b.difference - a.difference);
      largest.length = Math.min(MOST, largest.length);
    }
  }
  const gradients = now.document.gradients.filter((gradient) => {
    const { byFamily, byRole } = pointersOf(gradient);
    if (own !== null && byRole.has(own)) return true;
    for (const family of changed) if (byFamily.has(family)) return true;
    for (const role of byRole.keys()) if (roles.has(role)) return true;
    return false;
  });
  return {
    roles: roles.size,
    themes: themes.size,
    families: families.length,
    gradients: gradients.length,
    largest,
  };
}

const counted = (n: number, one: string, many: string) => (n ? [`${n} ${n === 1 ? one : many}`] : []);

interface MovesProps {
  /** The system when the light fell on the colour. */
  before: System;
  /** The role that is lit itself. */
  own: string | null;
}

/** How many things an edit of the lit colour moves since it was lit, and which most; also while it moves. */
export default function Moves({ before, own }: MovesProps) {
  const store = useStore() as AppStore;
  const system = useSystem();
  const [moved, setMoved] = useState<Moved | null>(null);
  const due = useRef(0);
  useEffect(() => {
    if (system === before) {
      setMoved(null);
      return;
    }
    if (due.current) return;
    due.current = window.setTimeout(() => {
      due.current = 0;
      const now = selectSystem(store.getState());
      setMoved(now === before ? null : movedSince(before, now, own));
    }, EVERY);
  }, [system, before, own, store]);
  useEffect(() => () => clearTimeout(due.current), []);
  if (!moved) return null;
  return <MovedThings moved={moved} />;
}

const MovedThings = memo(function MovedThings({ moved }: { moved: Moved }) {
  const { roles, themes, families, gradients, largest } = moved;
  const parts = [
    ...(roles
      ? [
          `${roles === 1 ? 'one role' : `${roles} roles`} in ${themes === 1 ? 'one theme' : `${themes} themes`}`,
        ]
      : []),
    ...counted(families, 'family that follows', 'families that follow'),
    ...counted(gradients, 'gradient', 'gradients'),
  ];
  if (!parts.length) return null;
  return (
    <section aria-label="What it moves" className="border-t border-hair pt-2">
      <h3 className="text-sm text-look">Moves {parts.join(', ')}</h3>
      <ul>
        {largest.map(({ key, name, from, to, difference }) => (
          <li key={key} className="flex items-center gap-1.5 py-0.5 text-sm">
            <span className="flex shrink-0">
              <ColorChip css={from.css} className="h-4 w-5 rounded-r-none" />
              <ColorChip css={to.css} className="h-4 w-5 rounded-l-none" />
            </span>
            <span className="min-w-0 flex-1 truncate">{name}</span>
            <span className="font-mono text-quiet">ΔE {difference.toFixed(3)}</span>
          </li>
        ))}
      </ul>
    </section>
  );
});
