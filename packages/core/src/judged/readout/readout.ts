import { notedName } from '../../document/naming/note-name.ts';
import type { Note } from '../../document/notes/note.ts';
import type { Pair } from '../../document/pairs/pair.ts';
import { drain } from '../../in-parts/drain.ts';
import type { ResolvedFamily } from '../../system/families/resolved-family.ts';
import type { System } from '../../system/resolve.ts';
import type { LayeredMeasuring } from '../pairs/layered.ts';
import { type MeasuredTheme, measureThemeInParts } from '../pairs/measure.ts';
import type { Measurement } from '../pairs/measurement.ts';
import { type AlikeRoles, alikeRoles } from './alike.ts';
import {
  type BrokenEverywhere,
  type BrokenInTheme,
  type BrokenLink,
  brokenEverywhere,
  brokenFamilies,
  brokenIn,
} from './broken.ts';

export interface ShadeAddress {
  readonly family: string;
  readonly shade: string;
}

/** The counts of the readout, each with the things it counts. */
export interface Readout {
  readonly system: System;
  /** How layered pairs were measured; null where they are awaited. */
  readonly layers: LayeredMeasuring | null;
  /** Every pair in each theme, by theme id. */
  readonly measured: ReadonlyMap<string, MeasuredTheme>;
  /** Pairs that have something to reach: all but those that are exempt. */
  readonly pairs: number;
  readonly exempt: number;
  readonly themes: number;
  readonly passingOverall: number;
  readonly outside: readonly ShadeAddress[];
  readonly handSet: readonly ShadeAddress[];
  readonly broken: readonly BrokenLink[];
  /** Notes that are not settled, on things that are there. */
  readonly notes: readonly Note[];
  /** What `broken` was put together from: by theme id, and what is the same in all. */
  readonly brokenByTheme: ReadonlyMap<string, BrokenInTheme>;
  readonly everywhere: BrokenEverywhere;
}

/** Counts what passes, fails and needs a look in a whole system; given an earlier readout, only what has changed since. */
export function readoutOf(
  system: System,
  previous?: Readout,
  layers: LayeredMeasuring | null = previous?.layers ?? null,
): Readout {
  return drain(readoutInParts(system, previous, layers));
}

/**
 * What {@link readoutOf} does, with a stop after some pairs, so that whoever counts the largest systems can do
 * something else in between. It is of the system it was begun with, whatever happens meanwhile.
 */
export function* readoutInParts(
  system: System,
  previous?: Readout,
  layers: LayeredMeasuring | null = previous?.layers ?? null,
): Generator<void, Readout> {
  if (previous?.system === system && previous.layers === layers) return previous;
  const measured = new Map<string, MeasuredTheme>();
  const brokenByTheme = new Map<string, BrokenInTheme>();
  const everywhere = brokenEverywhere(system, previous?.everywhere);
  let passingOverall = 0;
  for (const [id, theme] of system.themes) {
    const now = yield* measureThemeInParts(system, theme, layers, previous?.measured.get(id));
    measured.set(id, now);
    passingOverall += now.passing;
    brokenByTheme.set(id, brokenIn(theme, everywhere, previous?.brokenByTheme.get(id)));
    yield;
  }
  const families = [...system.families.values()].map(lookOf);
  const exempt = countExempt(system.document.pairs);
  return {
    system,
    layers,
    measured,
    pairs: system.document.pairs.length - exempt,
    exempt,
    themes: system.themes.size,
    passingOverall,
    outside: families.flatMap(({ outside }) => outside),
    handSet: families.flatMap(({ handSet }) => handSet),
    broken: [...brokenFamilies(system), ...[...brokenByTheme.values()].flatMap(({ broken }) => broken)],
    notes: openNotes(system, previous),
    brokenByTheme,
    everywhere,
  };
}

/** How many pairs pass in a theme; 0 in one that does not exist. */
export const passingIn = (readout: Readout, theme: string): number =>
  readout.measured.get(theme)?.passing ?? 0;

/** Roles whose colours can hardly be told apart in a theme; worked out when it is asked for. */
export function alikeIn({ system }: Readout, theme: string): readonly AlikeRoles[] {
  const resolved = system.themes.get(theme);
  return resolved ? alikeRoles(resolved) : [];
}

/** Every measurement, theme by theme in document order. */
export const allMeasurements = (readout: Readout): Measurement[] =>
  [...readout.measured.values()].flatMap(({ measurements }) => measurements);

/** Notes that are not settled, on things that are there; the same list as before where nothing of that has changed. */
function openNotes(system: System, previous?: Readout): readonly Note[] {
  const { document: doc, shape } = system;
  const old = previous?.system;
  const same =
    old &&
    old.shape === shape &&
    (['notes', 'roles', 'pairs', 'gradients', 'tray'] as const).every(
      (part) => old.document[part] === doc[part],
    );
  if (same) return previous.notes;
  return doc.notes.filter(({ settled, on }) => !settled && notedName(doc, on) !== null);
}

const exemptOf = new WeakMap<readonly Pair[], number>();

function countExempt(pairs: readonly Pair[]): number {
  let count = exemptOf.get(pairs);
  if (count === undefined) {
    count = pairs.reduce((n, { exempt }) => n + (exempt ? 1 : 0), 0);
    exemptOf.set(pairs, count);
  }
  return count;
}

interface FamilyLook {
  readonly outside: readonly ShadeAddress[];
  readonly handSet: readonly ShadeAddress[];
}

const looks = new WeakMap<ResolvedFamily, FamilyLook>();

/** The shades of a family that need a look; worked out once. */
function lookOf(resolved: ResolvedFamily): FamilyLook {
  let look = looks.get(resolved);
  if (!look) {
    const those = (which: 'outside' | 'handSet') =>
      resolved.shades
        .filter((shade) => shade[which])
        .map(({ label }) => ({ family: resolved.family.id, shade: label }));
    look = { outside: those('outside'), handSet: those('handSet') };
    looks.set(resolved, look);
  }
  return look;
}
