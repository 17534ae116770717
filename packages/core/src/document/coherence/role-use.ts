import type { Pair } from '../pairs/pair.ts';
import type { Role } from '../roles/role.ts';
import type { RoleUse } from '../roles/use-names.ts';

/** Names that say it, as parts of a role's own name or of its innermost groups. */
const NAMES: readonly (readonly [RoleUse, readonly string[]])[] = [
  ['ring', ['ring', 'focus', 'outline']],
  ['line', ['line', 'lines', 'border', 'borders', 'divider', 'rule', 'hairline', 'stroke']],
  ['text', ['text', 'label', 'link', 'icon', 'foreground', 'heading', 'title', 'caption']],
  ['ground', ['ground', 'page', 'surface', 'surfaces', 'background', 'raised', 'sunken', 'veil', 'backdrop']],
  ['fill', ['fill', 'action', 'button', 'accent', 'hover', 'pressed', 'badge', 'chip']],
];

const partsOf = (name: string) => name.toLowerCase().split(/[-_]/);

/** The use that a name says; its own name counts before its groups, the innermost first. */
function useByName({ group, name }: Pick<Role, 'group' | 'name'>): RoleUse | null {
  for (const one of [name, ...[...group].reverse()]) {
    const parts = partsOf(one);
    const found = NAMES.find(([, words]) => parts.some((part) => words.includes(part)));
    if (found) return found[0];
  }
  return null;
}

/** What a role is met with, by its pairs. */
export interface RoleMeets {
  /** The ground that it stands on as a foreground, in its first pair; null where it is in none. */
  readonly ground: string | null;
  /** What stands on it, in its first pair as a background. */
  readonly text: string | null;
  /** Whether it is asked for as graphics and not as text. */
  readonly isGraphics: boolean;
  /** Places of its pairs in the document. */
  readonly pairs: readonly number[];
}

const NOTHING: RoleMeets = { ground: null, text: null, isGraphics: false, pairs: [] };
const known = new WeakMap<readonly Pair[], ReadonlyMap<string, RoleMeets>>();

/** What every role in a pair is met with; worked out once for a list of pairs. */
function meetings(pairs: readonly Pair[]): ReadonlyMap<string, RoleMeets> {
  const before = known.get(pairs);
  if (before) return before;
  const out = new Map<string, RoleMeets>();
  pairs.forEach(({ foreground, background, target }, i) => {
    const front = out.get(foreground) ?? NOTHING;
    out.set(foreground, {
      ...front,
      ground: front.ground ?? background,
      isGraphics: front.isGraphics || (front.ground === null && target.content === 'graphics'),
      pairs: [...front.pairs, i],
    });
    const back = out.get(background) ?? NOTHING;
    out.set(background, { ...back, text: back.text ?? foreground, pairs: [...back.pairs, i] });
  });
  known.set(pairs, out);
  return out;
}

export const meetingOf = (pairs: readonly Pair[], role: string): RoleMeets =>
  meetings(pairs).get(role) ?? NOTHING;

// A role never changes, only its successor does.
const namedUses = new WeakMap<Role, RoleUse | null>();

function namedUse(role: Role): RoleUse | null {
  let use = namedUses.get(role);
  if (use === undefined) {
    use = useByName(role);
    namedUses.set(role, use);
  }
  return use;
}

/** What a role is for: as it was set, else as its name says, else as its pairs do. */
export function usageOf(role: Role, pairs: readonly Pair[]): RoleUse {
  if (role.use) return role.use;
  const named = namedUse(role);
  if (named) return named;
  const { ground, text, isGraphics } = meetingOf(pairs, role.id);
  if (text !== null) return ground === null ? 'ground' : 'fill';
  if (ground === null) return 'other';
  return isGraphics ? 'line' : 'text';
}
