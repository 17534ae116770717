import type { Command } from '@mint-lamp/core/document/commands/command';
import type { ProjectDocument } from '@mint-lamp/core/document/document';
import type { RoleLink } from '@mint-lamp/core/document/links/link';
import type { LinkGrid } from './copied-links.ts';

export interface CellPlace {
  readonly role: string;
  readonly theme: string;
}

/** Cells that are picked together: some roles, one below the other as the sheet shows them, in some themes. */
export interface CellBlock {
  readonly roles: readonly string[];
  readonly themes: readonly string[];
}

export const cellsOf = ({ roles, themes }: CellBlock): CellPlace[] =>
  roles.flatMap((role) => themes.map((theme) => ({ role, theme })));

/** The cells between two, both included; null when one of them is not on the sheet any more. */
export function blockBetween(
  a: CellPlace,
  b: CellPlace,
  roles: readonly string[],
  themes: readonly string[],
): CellBlock | null {
  const rows = [roles.indexOf(a.role), roles.indexOf(b.role)];
  const columns = [themes.indexOf(a.theme), themes.indexOf(b.theme)];
  if (Math.min(...rows, ...columns) < 0) return null;
  return {
    roles: roles.slice(Math.min(...rows), Math.max(...rows) + 1),
    themes: themes.slice(Math.min(...columns), Math.max(...columns) + 1),
  };
}

export const linkAt = (
  { roles }: Pick<ProjectDocument, 'roles'>,
  { role, theme }: CellPlace,
): RoleLink | null => roles.find(({ id }) => id === role)?.links[theme] ?? null;

/** The links of a block, for copying. */
export const gridOf = (doc: ProjectDocument, { roles, themes }: CellBlock): LinkGrid =>
  roles.map((role) => themes.map((theme) => linkAt(doc, { role, theme })));

/** One edit that gives every cell of a block a link; a cell for which `linkFor` gives undefined stays as it is. */
export function linkBlock(
  block: CellBlock,
  label: string,
  linkFor: (cell: CellPlace, row: number, column: number) => RoleLink | null | undefined,
): Command {
  const commands = block.roles.flatMap((role, row) =>
    block.themes.flatMap((theme, column) => {
      const link = linkFor({ role, theme }, row, column);
      return link === undefined ? [] : [{ type: 'setLink', role, theme, link } as const];
    }),
  );
  return { type: 'batch', label, commands };
}

/**
 * The block that a copied grid goes to: a larger block is filled with it again and again; from a single cell on it
 * takes the room that it needs, as far as the sheet reaches.
 */
export function blockToPaste(
  picked: CellBlock,
  grid: LinkGrid,
  roles: readonly string[],
  themes: readonly string[],
): CellBlock {
  if (picked.roles.length > 1 || picked.themes.length > 1) return picked;
  const row = roles.indexOf(picked.roles[0]!);
  const column = themes.indexOf(picked.themes[0]!);
  return {
    roles: roles.slice(row, row + grid.length),
    themes: themes.slice(column, column + grid[0]!.length),
  };
}
