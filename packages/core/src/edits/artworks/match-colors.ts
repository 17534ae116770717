import type { Link } from '../../document/links/link.ts';
import type { Role } from '../../document/roles/role.ts';
import { differenceOf, oklabOf, type Painted, paint } from '../../system/painted.ts';
import type { ResolvedTheme, System } from '../../system/resolve.ts';

/** Something that a colour of a drawing can be linked to. */
interface Candidate {
  readonly link: Link;
  readonly color: Painted;
}

/** What the colours of a drawing are linked to: one for each, in their order. */
export type Matched = ReadonlyMap<string, Link>;

const lightness = (color: Painted) => oklabOf(color)[0];

/**
 * The candidates for some colours that are nearest on the whole, the darker the darker: of two colours the darker one never
 * becomes the lighter. `weights` say how much of a drawing each covers.
 */
export function matchColors(
  colors: readonly string[],
  candidates: readonly Candidate[],
  weights: ReadonlyMap<string, number> = new Map(),
): Matched {
  if (!candidates.length) return new Map();
  const wanted = colors
    .map((text) => ({ text, color: paint(text), weight: 0.02 + (weights.get(text) ?? 1) }))
    .sort((a, b) => lightness(a.color) - lightness(b.color));
  const offered = [...candidates].sort((a, b) => lightness(a.color) - lightness(b.color));
  // The least cost of the first colours with the last of them at one of the first candidates; and where it is then.
  let best = new Float64Array(offered.length);
  const chosen: Int32Array[] = [];
  for (const { color, weight } of wanted) {
    const next = new Float64Array(offered.length);
    const at = new Int32Array(offered.length);
    let [least, place] = [Number.POSITIVE_INFINITY, 0];
    for (const [i, candidate] of offered.entries()) {
      const cost = best[i]! + weight * differenceOf(color, candidate.color) ** 2;
      if (cost < least) [least, place] = [cost, i];
      next[i] = least;
      at[i] = place;
    }
    best = next;
    chosen.push(at);
  }
  const out = new Map<string, Link>();
  let last = offered.length - 1;
  for (let i = wanted.length - 1; i >= 0; i--) {
    last = chosen[i]![last]!;
    out.set(wanted[i]!.text, offered[last]!.link);
  }
  return out;
}

/** Every opaque shade and base of a system; of one family alone where that is said. */
export function shadeCandidates({ families }: System, family?: string): Candidate[] {
  return [...families.values()].flatMap(({ family: { id }, shades }) =>
    family !== undefined && id !== family
      ? []
      : shades.flatMap((color): Candidate[] =>
          color.alpha < 1 ? [] : [{ color, link: { to: 'shade', family: id, shade: color.label } }],
        ),
  );
}

/** Every role that has one opaque colour in a theme. */
export const roleCandidates = (theme: ResolvedTheme, roles: readonly Role[]): Candidate[] =>
  roles.flatMap(({ id }): Candidate[] => {
    const color = theme.roles.get(id)?.color;
    return color && color.alpha === 1 ? [{ color, link: { to: 'role', role: id } }] : [];
  });

/** The family without a hue of its own, or the one with the least. */
export function greyestFamily({ families }: System): string | null {
  let [least, found]: [number, string | null] = [Number.POSITIVE_INFINITY, null];
  for (const { family, base } of families.values()) {
    const [, a, b] = oklabOf(base.color);
    const chroma = Math.hypot(a, b);
    if (chroma < least) [least, found] = [chroma, family.id];
  }
  return found;
}
