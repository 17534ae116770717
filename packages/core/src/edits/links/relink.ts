import type { SimpleCommand } from '../../document/commands/command.ts';
import type { ProjectDocument } from '../../document/document.ts';
import { stopsOf } from '../../document/gradients/gradient.ts';
import { type FamilyGrowth, type GrowthGround, groundOfGrowth } from '../../document/links/growth-ground.ts';
import type { Link, RoleLink } from '../../document/links/link.ts';

/** A link to a family: to one of its shades or to its base. */
export type FamilyLink = Extract<Link, { readonly family: string }>;
/** What it should be instead, its opacity aside. */
export type Instead = Link;

const isFamilyLink = (link: RoleLink | GrowthGround): link is FamilyLink =>
  link.to === 'shade' || link.to === 'base';

/** Where something of a family is used. */
export interface FamilyUses {
  readonly roles: readonly { readonly role: string; readonly theme: string; readonly link: FamilyLink }[];
  readonly stops: readonly { readonly gradient: string; readonly stop: string; readonly link: FamilyLink }[];
  /** Ids of the families that grow on it. */
  readonly grounds: readonly { readonly family: string; readonly link: FamilyLink }[];
}

/** All links of roles, stops and growths to a family, or to some of its shades; those of its own growth aside. */
export function usesOfFamily(
  { roles, gradients, families }: ProjectDocument,
  family: string,
  which: (link: FamilyLink) => boolean = () => true,
): FamilyUses {
  const isOne = (link: RoleLink | GrowthGround | null): link is FamilyLink =>
    link !== null && isFamilyLink(link) && link.family === family && which(link);
  return {
    roles: roles.flatMap(({ id, links }) =>
      Object.entries(links).flatMap(([theme, link]) => (isOne(link) ? [{ role: id, theme, link }] : [])),
    ),
    stops: gradients.flatMap((gradient) =>
      stopsOf(gradient).flatMap(({ id, color }) =>
        isOne(color) ? [{ gradient: gradient.id, stop: id, link: color }] : [],
      ),
    ),
    grounds: families.flatMap(({ id, growth }) => {
      const ground = groundOfGrowth(growth);
      return id !== family && isOne(ground) ? [{ family: id, link: ground }] : [];
    }),
  };
}

export const countUses = ({ roles, stops, grounds }: FamilyUses): number =>
  roles.length + stops.length + grounds.length;

/** A growth on something else; a role is none without a theme, so there it stays as it is. */
function groundCommands(
  family: string,
  growth: Extract<FamilyGrowth, { readonly kind: 'opacity' | 'contrast' }>,
  to: Link,
): SimpleCommand[] {
  if (to.to === 'role') return [];
  const { opacity: _, ...ground } = to;
  return [{ type: 'setGrowth', family, growth: { ...growth, ground: ground as GrowthGround } }];
}

/** The commands that make uses of a family lead elsewhere, each with the opacity that it has. */
export function relinked(
  { families }: ProjectDocument,
  uses: FamilyUses,
  instead: (link: FamilyLink) => Instead,
): SimpleCommand[] {
  const elsewhere = (link: FamilyLink): Link => ({
    ...instead(link),
    ...(link.opacity === undefined ? {} : { opacity: link.opacity }),
  });
  return [
    ...uses.roles.map(
      ({ role, theme, link }): SimpleCommand => ({ type: 'setLink', role, theme, link: elsewhere(link) }),
    ),
    ...uses.stops.map(
      ({ gradient, stop, link }): SimpleCommand => ({
        type: 'linkStop',
        gradient,
        stop,
        link: elsewhere(link),
      }),
    ),
    ...uses.grounds.flatMap(({ family, link }): SimpleCommand[] => {
      const growth = families.find(({ id }) => id === family)?.growth;
      return growth?.kind === 'opacity' || growth?.kind === 'contrast'
        ? groundCommands(family, growth, instead(link))
        : [];
    }),
  ];
}
