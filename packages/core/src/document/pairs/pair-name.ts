import type { ProjectDocument } from '../document.ts';
import { roleNameIn } from '../roles/role-name.ts';
import type { Pair } from './pair.ts';

type Named = Pick<ProjectDocument, 'roles' | 'gradients' | 'pictures'>;

/** What the text of a pair stands on, in words: "page.ground", "First light under hero.veil". */
export function groundName(
  { roles, gradients, pictures }: Named,
  { background, backdrop, veil }: Pair,
): string {
  const nameIn = (list: readonly { readonly id: string; readonly name: string }[], id: string) =>
    list.find((one) => one.id === id)?.name;
  const on =
    backdrop?.kind === 'gradient'
      ? (nameIn(gradients, backdrop.gradient) ?? 'a gradient that is gone')
      : backdrop?.kind === 'picture'
        ? (nameIn(pictures, backdrop.picture) ?? 'a picture that is gone')
        : roleNameIn(roles, background);
  return veil === undefined ? on : `${on} under ${roleNameIn(roles, veil)}`;
}

/** A pair in words: "hero.text on First light under hero.veil". */
export const pairName = (document: Named, pair: Pair): string =>
  `${roleNameIn(document.roles, pair.foreground)} on ${groundName(document, pair)}`;
