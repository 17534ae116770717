/** How the base of a family comes of the bases of others, for as long as nobody cuts it. */
export type Following =
  /** Another's base, turned in hue (180 is the complement) and moved in OKLCH lightness and chroma. */
  | {
      readonly by: 'turn';
      readonly family: string;
      readonly turn: number;
      readonly lightness: number;
      readonly chroma: number;
    }
  /** Between two, mixed in OKLab; `share` is how much of the second. */
  | { readonly by: 'between'; readonly family: string; readonly other: string; readonly share: number }
  /** Its own lightness, with a little of another's hue: OKLCH chroma 0–0.1. */
  | { readonly by: 'tint'; readonly family: string; readonly chroma: number };

export const MOST_TINT = 0.1;

/** Ids of the families that a following looks at. */
export const followedBy = (follows: Following | null): string[] =>
  follows === null ? [] : follows.by === 'between' ? [follows.family, follows.other] : [follows.family];

/** The families that follow a base directly. */
export const followersOf = <F extends { readonly follows: Following | null }>(
  families: readonly F[],
  id: string,
): F[] => families.filter(({ follows }) => followedBy(follows).includes(id));

/** Names the complement and the like: how a following is said in a few words. */
export function followingWords(follows: Following, nameOf: (family: string) => string): string {
  if (follows.by === 'between')
    return `between ${nameOf(follows.family)} and ${nameOf(follows.other)}, ${Math.round(follows.share * 100)} %`;
  if (follows.by === 'tint') return `tinted by ${nameOf(follows.family)}`;
  const turn = Math.round(follows.turn);
  return Math.abs(turn) === 180
    ? `complement of ${nameOf(follows.family)}`
    : `${turn > 0 ? '+' : ''}${turn}° from ${nameOf(follows.family)}`;
}
