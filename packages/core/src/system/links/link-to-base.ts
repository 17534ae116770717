import type { SimpleCommand } from '../commands/command.ts';
import type { ProjectDocument } from '../document.ts';
import { stopsOf } from '../gradients/gradient.ts';
import type { Link } from './link.ts';

/**
 * The commands that make every link to one shade of a family a link to its base, with the opacity that it has: roles
 * in all themes, and stops of gradients.
 */
export function linksToBase(
  { roles, gradients }: ProjectDocument,
  family: string,
  shade: string,
): SimpleCommand[] {
  const isOne = (link: Link) => link.to === 'shade' && link.family === family && link.shade === shade;
  const toBase = ({ opacity }: Link): Link => ({
    to: 'base',
    family,
    ...(opacity === undefined ? {} : { opacity }),
  });
  return [
    ...roles.flatMap((role) =>
      Object.entries(role.links).flatMap(([theme, link]): SimpleCommand[] =>
        isOne(link) ? [{ type: 'setLink', role: role.id, theme, link: toBase(link) }] : [],
      ),
    ),
    ...gradients.flatMap((gradient) =>
      stopsOf(gradient).flatMap(({ id, color }): SimpleCommand[] =>
        isOne(color) ? [{ type: 'linkStop', gradient: gradient.id, stop: id, link: toBase(color) }] : [],
      ),
    ),
  ];
}
