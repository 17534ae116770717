import { type Noted, notedName } from '@mint-lamp/core/document/naming/note-name';
import { type Note, notedKey } from '@mint-lamp/core/document/notes/note';
import type { ResolvedTheme, System } from '@mint-lamp/core/system/resolve';
import type { CastUses } from '@mint-lamp/core/system/scenes/cast';
import { type PartSide, type Pressable, rolesOfPart } from './scene-parts.ts';

/** A part of a scene with what is said about what paints it. */
export interface NotedPart {
  readonly part: Pressable;
  readonly things: readonly { readonly on: Noted; readonly name: string; readonly notes: readonly Note[] }[];
}

/** Whether a thing has a hand in how a part looks in a theme. */
function paints(on: Noted, part: Pressable, uses: CastUses, theme: ResolvedTheme, system: System): boolean {
  const roles = () => rolesOfPart(part, uses);
  const links = () => roles().map((role) => theme.roles.get(role)?.link);
  const roleAt = (at: PartSide) => {
    const side = part.sides.find(({ side }) => side === at);
    const link = side && uses.get(side.use)?.link;
    return link?.to === 'role' ? link.role : null;
  };
  switch (on.kind) {
    case 'role':
      return roles().includes(on.role);
    case 'gradient':
      return (
        links().some((link) => link?.to === 'gradient' && link.gradient === on.gradient) ||
        part.sides.some(({ use }) => {
          const link = uses.get(use)?.link;
          return link?.to === 'gradient' && link.gradient === on.gradient;
        })
      );
    case 'shade':
      return links().some(
        (link) => link?.to === 'shade' && link.family === on.family && link.shade === on.shade,
      );
    case 'base':
      return links().some(
        (link) => (link?.to === 'shade' || link?.to === 'base') && link.family === on.family,
      );
    case 'pair': {
      const pair = system.document.pairs.find(({ id }) => id === on.pair);
      return pair !== undefined && roleAt('text') === pair.foreground && roleAt('ground') === pair.background;
    }
    case 'swatch':
    case 'theme':
    case 'scene':
    case 'project':
      return false;
  }
}

/** Where open notes are pinned on a scene: each at the first part that what it is on paints, in the order of reading. */
export function notedParts(
  parts: readonly Pressable[],
  uses: CastUses,
  theme: ResolvedTheme,
  system: System,
  notes: readonly Note[],
): NotedPart[] {
  const byThing = new Map<string, Note[]>();
  for (const note of notes)
    if (!note.settled) {
      const key = notedKey(note.on);
      byThing.set(key, [...(byThing.get(key) ?? []), note]);
    }
  const byPart = new Map<Pressable, NotedPart['things'][number][]>();
  for (const of of byThing.values()) {
    const { on } = of[0]!;
    const name = notedName(system.document, on);
    const part = name === null ? undefined : parts.find((one) => paints(on, one, uses, theme, system));
    if (part) byPart.set(part, [...(byPart.get(part) ?? []), { on, name: name!, notes: of }]);
  }
  return parts.flatMap((part) => {
    const things = byPart.get(part);
    return things ? [{ part, things }] : [];
  });
}
