import { readColor } from '@mint-lamp/core/color/parse';
import type { Level } from '@mint-lamp/core/contrast/targets';
import { applyCommand } from '@mint-lamp/core/document/commands/apply';
import type { SimpleCommand } from '@mint-lamp/core/document/commands/command';
import type { ProjectDocument } from '@mint-lamp/core/document/document';
import { MOST_SWATCHES } from '@mint-lamp/core/document/tray/swatch';
import { firstSystem, MOST_FIRST_COLORS } from '@mint-lamp/core/edits/first-system';
import { leadAndAccent } from '@mint-lamp/core/edits/lead-and-accent';
import { STARTER_PARTS } from '@mint-lamp/core/edits/roles/starter-parts';
import { writeCss } from '@mint-lamp/core/exchange/css';
import { underTexts } from '@mint-lamp/core/judged/pairs/under-text';
import { readoutOf } from '@mint-lamp/core/judged/readout/readout';
import { nameOf } from '@mint-lamp/core/names/names';
import { adoptSheet, wholeOf } from '@mint-lamp/core/sheet/adopt';
import { joinedSheets, placeOfLine, type SheetFile } from '@mint-lamp/core/sheet/sheet-files';
import { readSheetInParts } from '@mint-lamp/core/sheet/sheet-system';
import { sheetOf } from '@mint-lamp/core/sheet/written/sheet-of';
import { type ProjectPreview, previewOf } from '@mint-lamp/core/system/preview';
import { resolveSystem } from '@mint-lamp/core/system/resolve';
import { type Job, type JobContext, JobError } from '../job.ts';

/** A colour to begin with; under the name that is nearest where it has none of its own. */
export interface GivenColor {
  readonly color: string;
  readonly name?: string;
}

/** Which colour leads and which is the accent, if one is, by their places. */
export interface Cast {
  readonly leads: number;
  readonly accent: number | null;
}

/** What a project is begun with: some colours, or style sheets that are a system already. */
export type Given =
  | {
      readonly of: 'colors';
      readonly colors: readonly GivenColor[];
      readonly level: Level;
      /** Which of them leads and which is the accent, by place; the usual ones where it is left out. */
      readonly cast?: Cast;
    }
  | { readonly of: 'sheets'; readonly files: readonly SheetFile[] };

interface BeginInput {
  /** The project without anything in it. */
  readonly document: ProjectDocument;
  readonly given: Given;
}

export interface BegunSystem {
  /** What makes it of the project that was given. */
  readonly commands: readonly SimpleCommand[];
  /** How it looks. */
  readonly preview: ProjectPreview;
  /** Pairs over all themes, and those that pass. */
  readonly pairs: number;
  readonly passing: number;
  readonly css: string;
  /** The colours by the names that they have, and what each does; null where there was nothing to choose. */
  readonly cast: (Cast & { readonly names: readonly string[] }) | null;
  /** What was chosen, and why. */
  readonly reasons: readonly { readonly what: string; readonly why: string }[];
}

type Made = Pick<BegunSystem, 'commands' | 'reasons' | 'cast'>;

const newId = () => crypto.randomUUID().replaceAll('-', '').slice(0, 12);

function ofColors(
  document: ProjectDocument,
  { colors, level, cast }: Extract<Given, { of: 'colors' }>,
): Made {
  const added = Date.now();
  // The tray holds so many; the first of them make the system.
  const named = colors
    .slice(0, MOST_SWATCHES)
    .map(({ color, name }) => ({ name: name || nameOf(readColor(color)), color }));
  const tray = named.map(
    ({ name, color }): SimpleCommand => ({
      type: 'addSwatch',
      swatch: { id: newId(), name, color, group: '', added },
    }),
  );
  const bases = named.slice(0, MOST_FIRST_COLORS);
  const own = cast ?? leadAndAccent(bases.map(({ color }) => color));
  const { command, reasons } = firstSystem(
    document,
    {
      colors: bases,
      ...own,
      calm: 0.5,
      level,
      parts: new Set(STARTER_PARTS),
    },
    newId,
  );
  return {
    commands: [...tray, ...command.commands],
    reasons,
    cast: { ...own, names: bases.map(({ name }) => name) },
  };
}

async function ofSheets(
  document: ProjectDocument,
  files: readonly SheetFile[],
  { progress, yieldTurn }: JobContext,
): Promise<Made> {
  const joined = joinedSheets(files.map(sheetOf).flatMap((one) => (one.ok ? one.file : [])));
  const steps = readSheetInParts(joined.text, 0, (line) => placeOfLine(joined, line));
  let step = steps.next();
  for (; !step.done; step = steps.next()) {
    progress(step.value * 0.8);
    await yieldTurn();
  }
  const adoption = step.value && adoptSheet(document, step.value, wholeOf(step.value), newId);
  if (!adoption) throw new JobError('There is no rule with a colour in it.');
  const { command } = adoption;
  return { commands: command.type === 'batch' ? command.commands : [command], reasons: [], cast: null };
}

/** What a project is begun with, as a whole system: how to make it, how it looks, what passes, and its CSS. */
const work: Job<BeginInput, BegunSystem> = async ({ document, given }, context) => {
  const made =
    given.of === 'colors' ? ofColors(document, given) : await ofSheets(document, given.files, context);
  const result = applyCommand(document, { type: 'batch', label: 'begin', commands: made.commands });
  if (!result.ok) throw new JobError(result.reason);
  const system = resolveSystem(result.document);
  const readout = readoutOf(system, undefined, underTexts);
  return {
    ...made,
    preview: previewOf(result.document),
    pairs: readout.pairs * readout.themes,
    passing: readout.passingOverall,
    css: writeCss(system),
  };
};
export default work;
