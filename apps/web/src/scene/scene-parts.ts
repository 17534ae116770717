import { writeRoleName } from '@mint-lamp/core/document/naming/role-name';
import { SCENE_USES, type SceneUse } from '@mint-lamp/core/document/scenes/scene-uses';
import type { ResolvedTheme } from '@mint-lamp/core/system/resolve';
import type { CastUses } from '@mint-lamp/core/system/scenes/cast';
import { paintedUse } from './painted-use.ts';

export type PartSide = 'text' | 'ground' | 'line' | 'ring';

/** A part of a scene that can be pressed, and the uses that paint it. */
export interface Pressable {
  readonly element: HTMLElement | SVGElement;
  /** What it says; empty where it is no text. */
  readonly words: string;
  readonly sides: readonly { readonly side: PartSide; readonly use: SceneUse }[];
}

const PAINTED = '[data-text], [data-ground], [data-line], [data-ring]';

/** The words of an element itself, without those of parts in it. */
function ownWords(element: Element): string {
  let words = '';
  const walker = document.createTreeWalker(element, NodeFilter.SHOW_TEXT);
  for (let node = walker.nextNode(); node; node = walker.nextNode())
    if (node.parentElement?.closest(PAINTED) === element) words += `${node.textContent} `;
  return words.replace(/\s+/g, ' ').trim();
}

/** A part as it can be pressed: what paints its text, what it stands on, and its lines. */
function pressable(element: HTMLElement): Pressable {
  const words = element.dataset.text ? ownWords(element) : '';
  const ground = element.closest<HTMLElement>('[data-ground]')?.dataset.ground as SceneUse | undefined;
  const { text, line, ring } = element.dataset as Partial<Record<PartSide, SceneUse>>;
  const sides = [
    ...(text && words ? [{ side: 'text', use: text } as const] : []),
    ...(ground ? [{ side: 'ground', use: ground } as const] : []),
    ...(line ? [{ side: 'line', use: line } as const] : []),
    ...(ring ? [{ side: 'ring', use: ring } as const] : []),
  ];
  return { element, words, sides };
}

/** The part of a scene that an element is of; null where nothing paints it. */
export function partAt(target: Element): Pressable | null {
  if (target instanceof SVGElement) {
    const use = paintedUse(target.getAttribute('fill')) ?? paintedUse(target.getAttribute('stroke'));
    if (use) return { element: target, words: '', sides: [{ side: SCENE_USES[use].paints, use }] };
  }
  const element = target.closest<HTMLElement>(PAINTED);
  return element ? pressable(element) : null;
}

/** All parts of a scene, in the order of reading. */
export const partsOf = (scene: Element): Pressable[] =>
  [...scene.querySelectorAll<HTMLElement>(PAINTED)]
    .map(pressable)
    .filter(({ element, sides }) => sides.length > 0 && element.getClientRects().length > 0);

/** Ids of the roles at work in a part. */
export const rolesOfPart = ({ sides }: Pressable, uses: CastUses): string[] =>
  sides.flatMap(({ use }) => {
    const link = uses.get(use)?.link;
    return link?.to === 'role' ? [link.role] : [];
  });

/** A part in words, for whoever listens: "Reserve: accent.text, accent.fill". */
export function saidOf(pressed: Pressable, uses: CastUses, theme: ResolvedTheme): string {
  const names = rolesOfPart(pressed, uses).flatMap((id) => {
    const role = theme.roles.get(id)?.role;
    return role ? [writeRoleName(role)] : [];
  });
  const { use } = pressed.sides[0]!;
  return `${pressed.words || SCENE_USES[use].name}: ${names.join(', ') || 'no role'}`;
}
