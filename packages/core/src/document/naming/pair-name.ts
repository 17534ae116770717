import { type NamedRole, roleNameIn } from './role-name.ts';

interface Named {
  readonly id: string;
  readonly name: string;
}

/** The lists that the name of a pair is made from. */
export interface PairNames {
  readonly roles: readonly NamedRole[];
  readonly gradients: readonly Named[];
  readonly pictures: readonly Named[];
}

/** A pair, as far as its name goes: ids of roles, and what lies between. */
export interface NamedPair {
  readonly foreground: string;
  readonly background: string;
  readonly backdrop?:
    | { readonly kind: 'gradient'; readonly gradient: string }
    | { readonly kind: 'picture'; readonly picture: string };
  readonly veil?: string;
}

/** What the text of a pair stands on, in words: "page.ground", "First light under hero.veil". */
export function groundName(
  { roles, gradients, pictures }: PairNames,
  { background, backdrop, veil }: NamedPair,
): string {
  const nameIn = (list: readonly Named[], id: string) => list.find((one) => one.id === id)?.name;
  const on =
    backdrop?.kind === 'gradient'
      ? (nameIn(gradients, backdrop.gradient) ?? 'a gradient that is gone')
      : backdrop?.kind === 'picture'
        ? (nameIn(pictures, backdrop.picture) ?? 'a picture that is gone')
        : roleNameIn(roles, background);
  return veil === undefined ? on : `${on} under ${roleNameIn(roles, veil)}`;
}

/** A pair in words: "hero.text on First light under hero.veil". */
export const pairName = (document: PairNames, pair: NamedPair): string =>
  `${roleNameIn(document.roles, pair.foreground)} on ${groundName(document, pair)}`;
