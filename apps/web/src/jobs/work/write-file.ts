import type { ProjectDocument } from '@mint-lamp/core/document/document';
import { changedLines } from '@mint-lamp/core/exchange/changes/changed-lines';
import { paintedOtherwise } from '@mint-lamp/core/exchange/css-values';
import { type FileFormatId, fileFormat } from '@mint-lamp/core/exchange/file-formats';
import type { Written } from '@mint-lamp/core/exchange/handed-over';
import { lostBy } from '@mint-lamp/core/read-back/lost-by';
import { chosenSystem } from '@mint-lamp/core/system/delivery/chosen-system';
import type { Regions } from '@mint-lamp/core/system/pictures/regions';
import { resolveSystem } from '@mint-lamp/core/system/resolve';
import { fontFiles } from '../fonts.ts';
import type { Job } from '../job.ts';

export interface FileInput {
  readonly document: ProjectDocument;
  readonly form: FileFormatId;
  /** When, ISO 8601. */
  readonly at: string;
  readonly revision: number | null;
  readonly regions: Regions;
  /** The project as it was last handed over, with what was chosen then; null where it was not. */
  readonly before: ProjectDocument | null;
}

export interface WrittenFile {
  readonly form: FileFormatId;
  /** As bytes where it is too large a page to be shown as one. */
  readonly content: Written;
  /** How a page begins that is too large to be shown as one. */
  readonly beginning: string | null;
  /** Numbers of lines, from 0, that are not as they were handed over last; null where that is not known. */
  readonly changed: readonly number[] | null;
  /** What would not come back from it, in sentences; empty for forms that are not read back. */
  readonly lost: readonly string[];
  /** Ids of the gradients in it that engines paint otherwise than each other; empty for forms that paint none. */
  readonly otherwise: readonly string[];
  /** Names of what was left out and goes all the same, since what goes needs it. */
  readonly needed: readonly string[];
}

/** Forms that browsers paint gradients by. */
const PAINTED: readonly FileFormatId[] = ['css', 'scss', 'tailwind', 'typescript'];

/** Characters of a page that is shown as one; more would hold up what is around it, and on the way there too. */
const LARGEST_PAGE = 1_000_000;
const BEGINNING = 60_000;

/** A project as a file to hand over, with what is chosen at Deliver. */
const work: Job<FileInput, WrittenFile> = async ({ document, form, at, revision, regions, before }) => {
  const write = await fileFormat(form).writer();
  const written = async (of: ProjectDocument, known: Regions) => {
    const { leftOut, choices } = of.delivery;
    const chosen = chosenSystem(resolveSystem(of, undefined, known), leftOut);
    const content = await write({ system: chosen.system, choices, at, revision, fonts: fontFiles });
    return { content, system: chosen.system, needed: chosen.needed };
  };
  const { content, system, needed } = await written(document, regions);
  const isText = typeof content === 'string' && form !== 'page' && form !== 'svg';
  const then = before && isText ? (await written(before, new Map())).content : null;
  const nameOf = (id: string) =>
    document.gradients.find((gradient) => gradient.id === id)?.name ??
    document.roles.filter((role) => role.id === id).map(({ group, name }) => [...group, name].join('.'))[0];
  const isLarge = form === 'page' && typeof content === 'string' && content.length > LARGEST_PAGE;
  return {
    form,
    content: isLarge ? new TextEncoder().encode(content) : content,
    beginning: isLarge ? content.slice(0, content.lastIndexOf('\n', BEGINNING) + 1) : null,
    lost: form === 'css' || form === 'tokens' || form === 'csv' ? lostBy(form, system) : [],
    changed: isText && typeof then === 'string' ? changedLines(then, content) : null,
    otherwise: PAINTED.includes(form) ? paintedOtherwise(system) : [],
    needed: [...needed.roles, ...needed.gradients].flatMap((id) => nameOf(id) ?? []),
  };
};
export default work;
