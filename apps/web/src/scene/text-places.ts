import { type SceneUse, sceneUse } from '@mint-lamp/core/document/scenes/scene-uses';
import { type Area, areaWithin } from '@mint-lamp/core/gradient/area';
import type { TextPlace } from '@mint-lamp/core/judged/pairs/suggested-pairs';
import type { ResolvedTheme } from '@mint-lamp/core/system/resolve';
import type { CastUse, CastUses } from '@mint-lamp/core/system/scenes/cast';

/** A text of a laid out scene, where it stands. */
interface PlacedText {
  readonly element: HTMLElement;
  /** What has its lettering. */
  readonly lettered: HTMLElement;
  readonly use: SceneUse;
  /** Of its letters, in px of the window. */
  readonly box: DOMRect;
  readonly words: string;
}

/** A ground of a laid out scene. */
interface PlacedGround {
  readonly element: HTMLElement;
  readonly use: SceneUse;
  readonly box: DOMRect;
}

/** Every text of a laid out scene. */
export function textsOf(scene: HTMLElement): PlacedText[] {
  const out: PlacedText[] = [];
  const walker = document.createTreeWalker(scene, NodeFilter.SHOW_TEXT);
  for (let node = walker.nextNode(); node; node = walker.nextNode()) {
    const words = node.textContent?.trim();
    const lettered = node.parentElement!;
    const element = lettered.closest<HTMLElement>('[data-text]');
    if (!element || !words) continue;
    const range = document.createRange();
    range.selectNodeContents(node);
    out.push({
      element,
      lettered,
      use: element.dataset.text as SceneUse,
      box: range.getBoundingClientRect(),
      words,
    });
  }
  return out;
}

/** The grounds of a laid out scene, from below: parts later in it lie over those before. */
export const groundsOf = (scene: HTMLElement): PlacedGround[] =>
  [...scene.querySelectorAll<HTMLElement>('[data-ground]')].map((element) => ({
    element,
    use: element.dataset.ground as SceneUse,
    box: element.getBoundingClientRect(),
  }));

const holds = (box: DOMRect, x: number, y: number) =>
  x >= box.left && x <= box.right && y >= box.top && y <= box.bottom;

/** What is painted under a place of a scene. */
export interface Beneath {
  /** The plain ground; null where nothing paints it. */
  readonly ground: CastUse | null;
  /** What lies on it that is more than one colour: a gradient, a picture. */
  readonly wide: { readonly cast: CastUse; readonly box: DOMRect } | null;
  readonly veil: CastUse | null;
}

export function beneath(
  grounds: readonly PlacedGround[],
  uses: CastUses,
  theme: ResolvedTheme,
  x: number,
  y: number,
): Beneath {
  let [ground, wide, veil]: [Beneath['ground'], Beneath['wide'], Beneath['veil']] = [null, null, null];
  for (const { use, box } of grounds) {
    const cast = uses.get(use)!;
    if (!cast.link || !holds(box, x, y)) continue;
    const role = cast.link.to === 'role' ? theme.roles.get(cast.link.role) : undefined;
    if (cast.link.to !== 'role' || role?.gradient) [wide, veil] = [{ cast, box }, null];
    else if ((role?.color?.alpha ?? 1) < 1 && ground !== null) veil = cast;
    else [ground, wide, veil] = [cast, null, null];
  }
  return { ground, wide, veil };
}

const roleOf = (cast: CastUse | null) => (cast?.link?.to === 'role' ? cast.link.role : null);

const around = (a: Area, b: Area): Area => {
  const [x, y] = [Math.min(a.x, b.x), Math.min(a.y, b.y)];
  return {
    x,
    y,
    width: Math.max(a.x + a.width, b.x + b.width) - x,
    height: Math.max(a.y + a.height, b.y + b.height) - y,
  };
};

/** The gradient that paints something wide in a theme; null where a picture does. */
function gradientOf({ cast: { link } }: NonNullable<Beneath['wide']>, theme: ResolvedTheme): string | null {
  if (link?.to === 'gradient') return link.gradient;
  return link?.to === 'role' ? (theme.roles.get(link.role)?.gradient ?? null) : null;
}

/** Where a text stands as a pair would have it; null where nothing or a picture is beneath. `scale` is how much larger than its own px it is shown. */
export function placeOf(
  { lettered, use, box }: PlacedText,
  under: Beneath,
  uses: CastUses,
  theme: ResolvedTheme,
  scale = 1,
): TextPlace | null {
  const text = roleOf(uses.get(use)!);
  const ground = roleOf(under.ground);
  if (text === null || ground === null || text === ground) return null;
  const { fontSize, fontWeight } = getComputedStyle(lettered);
  const lettering = { size: Number.parseFloat(fontSize), weight: Number(fontWeight) };
  const veil = roleOf(under.veil);
  if (!under.wide) return { text, ground, backdrop: null, veil, ...lettering };
  const gradient = gradientOf(under.wide, theme);
  if (gradient === null) return null;
  const [width, height] = [under.wide.box.width / scale, under.wide.box.height / scale].map(Math.round) as [
    number,
    number,
  ];
  const own: Area = {
    x: (box.left - under.wide.box.left) / scale,
    y: (box.top - under.wide.box.top) / scale,
    width: box.width / scale,
    height: box.height / scale,
  };
  const backdrop = {
    kind: 'gradient',
    gradient,
    width,
    height,
    text: areaWithin(own, width, height),
  } as const;
  return { text, ground, backdrop, veil, ...lettering };
}

const keyOf = ({ text, ground, backdrop, veil }: TextPlace) =>
  [text, ground, backdrop?.kind === 'gradient' && backdrop.gradient, veil].join(' ');

/** Both as one: the smaller lettering, and on a gradient all that the two cover. */
function together(a: TextPlace, b: TextPlace): TextPlace {
  const { size, weight } = a.size < b.size || (a.size === b.size && a.weight <= b.weight) ? a : b;
  const [one, other] = [a.backdrop, b.backdrop];
  const backdrop =
    one?.kind === 'gradient' && other?.kind === 'gradient' && one.width === other.width
      ? { ...one, text: areaWithin(around(one.text, other.text), one.width, one.height) }
      : one;
  return { ...a, size, weight, backdrop };
}

/**
 * Every text of laid out scenes with what it really stands on, once for all that stand alike. Where another use's role
 * stands in, nothing says that the two are meant for each other: those are left out.
 */
export function textPlaces(
  scenes: readonly HTMLElement[],
  uses: CastUses,
  theme: ResolvedTheme,
): TextPlace[] {
  const places = new Map<string, TextPlace>();
  const isMeant = (cast: CastUse | null | undefined) => cast?.how !== 'stand-in' && cast?.how !== 'nothing';
  for (const scene of scenes) {
    const grounds = groundsOf(scene);
    for (const text of textsOf(scene)) {
      if (!isMeant(uses.get(text.use)) || sceneUse(text.use).paints !== 'text') continue;
      const { box } = text;
      const under = beneath(grounds, uses, theme, box.left + box.width / 2, box.top + box.height / 2);
      if (!isMeant(under.ground) || !isMeant(under.wide?.cast ?? under.ground)) continue;
      const place = placeOf(text, under, uses, theme);
      if (!place) continue;
      const key = keyOf(place);
      const before = places.get(key);
      places.set(key, before ? together(before, place) : place);
    }
  }
  return [...places.values()];
}
