import type { SimpleCommand } from '../../document/commands/command.ts';
import type { ProjectDocument } from '../../document/document.ts';
import { relinked, usesOfFamily } from '../links/relink.ts';

/**
 * The commands that make every link to one shade of a family a link to its base, with the opacity that it has: roles
 * in all themes, stops of gradients, and what other families grow on.
 */
export const linksToBase = (doc: ProjectDocument, family: string, shade: string): SimpleCommand[] =>
  relinked(
    doc,
    usesOfFamily(doc, family, (link) => link.to === 'shade' && link.shade === shade),
    () => ({ to: 'base', family }),
  );
