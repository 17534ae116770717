import { meetingOf } from '../../document/coherence/role-use.ts';
import type { ProjectDocument } from '../../document/document.ts';
import { families } from '../../document/families/kind.ts';
import { gradients } from '../../document/gradients/kind.ts';
import type { RoleLink } from '../../document/links/link.ts';
import { linkName } from '../../document/naming/link-name.ts';
import { pairName } from '../../document/naming/pair-name.ts';
import { roleNameIn, writeRoleName } from '../../document/naming/role-name.ts';
import { pairs } from '../../document/pairs/kind.ts';
import { roles } from '../../document/roles/kind.ts';
import type { Role } from '../../document/roles/role.ts';
import { sameJson } from '../../document/same.ts';
import { underTexts } from '../../judged/pairs/under-text.ts';
import { type Readout, readoutOf } from '../../judged/readout/readout.ts';
import { worstOfRole } from '../../judged/readout/worst-of-role.ts';
import { gradientCss } from '../../system/gradients/gradient-css.ts';
import { NO_REGIONS, type Regions } from '../../system/pictures/regions.ts';
import { resolveSystem, type System } from '../../system/resolve.ts';
import { rolePaint } from '../../system/roles/role-paint.ts';
import { keptIds } from './kept.ts';
import { ORDERED_LISTS, type OrderedList, WHOLE_LISTS, type WholeList } from './parts.ts';

/** How a thing differs: it came, it went, or it is another than it was. */
export type Change = 'added' | 'removed' | 'changed';

/** A colour on one side of a comparison. */
export interface RoleState {
  /** CSS; null where there is none. */
  readonly css: string | null;
  /** What it is linked to, or what the base is, in words. */
  readonly words: string;
  /** The worst ratio of its pairs, and whether that is enough; null where it is in none. */
  readonly ratio: number | null;
  readonly passes: boolean;
}

/** A role in a theme whose colour or link differs; null on the side where the role or the theme is not there. */
export interface CellDifference {
  readonly theme: string;
  readonly before: RoleState | null;
  readonly after: RoleState | null;
  /** Whether the link itself differs; else only what it leads to does. */
  readonly linked: boolean;
}

export interface ThingDifference {
  readonly id: string;
  readonly name: string;
  readonly change: Change;
  /** What of it differs, in words: "base", "named Buoy before". */
  readonly words: readonly string[];
}

export interface ColoredDifference extends ThingDifference {
  /** CSS of the base, or of the gradient as an image in the first theme. */
  readonly before: string | null;
  readonly after: string | null;
}

export interface RoleDifference extends ThingDifference {
  /** Whether the role itself differs; else only its cells do. */
  readonly itself: boolean;
  readonly cells: readonly CellDifference[];
}

/** What differs between two states of a project, and nothing else: plain data with CSS colours. */
export interface Differences {
  /** Names, where they differ. */
  readonly name: { readonly before: string; readonly after: string } | null;
  readonly ground: { readonly before: string; readonly after: string } | null;
  /** The themes of either side, for columns. */
  readonly columns: readonly { readonly id: string; readonly name: string }[];
  readonly themes: readonly ThingDifference[];
  readonly families: readonly ColoredDifference[];
  readonly roles: readonly RoleDifference[];
  readonly pairs: readonly ThingDifference[];
  readonly gradients: readonly ColoredDifference[];
  readonly lists: readonly { readonly list: WholeList; readonly words: string }[];
  readonly orders: readonly OrderedList[];
  readonly words: boolean;
  readonly relatives: boolean;
  readonly scenes: boolean;
  /** What is chosen at Deliver. */
  readonly delivery: boolean;
  /** Pairs that pass over all themes, of how many, on each side. */
  readonly passing: {
    readonly before: readonly [passing: number, all: number];
    readonly after: readonly [passing: number, all: number];
  };
}

interface Identified {
  readonly id: string;
}

/** One side with all that is asked of it. */
interface State {
  readonly doc: ProjectDocument;
  readonly system: System;
  readonly readout: Readout;
}

function stateOf(doc: ProjectDocument, regions: Regions): State {
  const system = resolveSystem(doc, undefined, regions);
  return { doc, system, readout: readoutOf(system, undefined, underTexts) };
}

const byId = <T extends Identified>(list: readonly T[]) => new Map(list.map((thing) => [thing.id, thing]));

/** The things of two lists that differ, in the order of the later one, those that went at the end. */
function differing<T extends Identified>(
  before: readonly T[],
  after: readonly T[],
): { readonly was: T | undefined; readonly is: T | undefined }[] {
  if (before === after) return [];
  const [old, now] = [byId(before), byId(after)];
  return [
    ...after.flatMap((is) => {
      const was = old.get(is.id);
      return was && sameJson(was, is) ? [] : [{ was, is }];
    }),
    ...before.flatMap((was) => (now.has(was.id) ? [] : [{ was, is: undefined }])),
  ];
}

const changeOf = (was: unknown, is: unknown): Change => (!was ? 'added' : is ? 'changed' : 'removed');
const named = (was: string | undefined, is: string | undefined) =>
  was !== undefined && is !== undefined && was !== is ? [`named ${was} before`] : [];

/** What of a thing differs that is on both sides: its name, and what its kind tells apart. */
function wordsOf<T extends { readonly name: string }>(
  { differs }: { readonly differs: (was: T, is: T) => readonly string[] },
  was: T | undefined,
  is: T | undefined,
): string[] {
  return was && is ? [...named(was.name, is.name), ...differs(was, is)] : [];
}

/** A gradient in the first theme, as CSS. */
function gradientIn({ doc, system }: State, id: string): string | null {
  const gradient = system.themes.get(doc.themes[0]!.id)!.gradients.get(id);
  return gradient ? gradientCss(gradient) : null;
}

/** A role in a theme on one side; null where either is not there. */
function sideOf(state: State, role: Role | undefined, theme: string): RoleState | null {
  const resolved = role && state.system.themes.get(theme)?.roles.get(role.id);
  if (!resolved) return null;
  const worst = worstOfRole(state.readout, theme, meetingOf(state.doc.pairs, role.id));
  return {
    css: rolePaint(state.system.themes.get(theme)!, role.id),
    words: linkName(state.doc, role.links[theme] ?? null),
    ratio: worst ? worst.ratio : null,
    passes: worst?.passes ?? true,
  };
}

const linkIn = (role: Role | undefined, theme: string): RoleLink | null => role?.links[theme] ?? null;

function roleDifferences(before: State, after: State, columns: readonly Identified[]): RoleDifference[] {
  const [old, now] = [byId(before.doc.roles), byId(after.doc.roles)];
  const ids = [
    ...after.doc.roles.map(({ id }) => id),
    ...before.doc.roles.flatMap(({ id }) => (now.has(id) ? [] : [id])),
  ];
  return ids.flatMap((id): RoleDifference[] => {
    const [was, is] = [old.get(id), now.get(id)];
    const cells = columns.flatMap(({ id: theme }): CellDifference[] => {
      const linked = !sameJson(linkIn(was, theme), linkIn(is, theme));
      const colors = [before, after].map(({ system }) => {
        const resolved = system.themes.get(theme);
        return (resolved && rolePaint(resolved, id)) ?? null;
      });
      if (!linked && colors[0] === colors[1]) return [];
      return [{ theme, linked, before: sideOf(before, was, theme), after: sideOf(after, is, theme) }];
    });
    const words =
      was && is
        ? [...named(writeRoleName(was), writeRoleName(is)), ...roles.compared.roles.differs(was, is)]
        : [];
    const itself = !was || !is || words.length > 0;
    if (!itself && !cells.length) return [];
    return [{ id, name: writeRoleName((is ?? was)!), change: changeOf(was, is), words, itself, cells }];
  });
}

function listWords(before: readonly Identified[], after: readonly Identified[]): string {
  const [old, now] = [byId(before), byId(after)];
  const added = after.filter(({ id }) => !old.has(id)).length;
  const removed = before.filter(({ id }) => !now.has(id)).length;
  const changed = after.filter((thing) => old.has(thing.id) && !sameJson(old.get(thing.id), thing)).length;
  const parts = [
    ...(added ? [`${added} more`] : []),
    ...(removed ? [`${removed} fewer`] : []),
    ...(changed ? [`${changed} changed`] : []),
  ];
  return parts.join(', ') || 'in another order';
}

/** Whether what is in both lists stands in another order. */
function isReordered(before: readonly Identified[], after: readonly Identified[]): boolean {
  const now = new Set(after.map(({ id }) => id));
  const both = before.filter(({ id }) => now.has(id)).length;
  return keptIds(before, after, () => true).size < both;
}

/**
 * What differs between two states of a project, role by role and theme by theme, with colours, links and ratios. Both
 * documents have to be of today's schema. `regions` are the colours of pictures under texts, as far as they are known.
 */
export function differencesBetween(
  earlier: ProjectDocument,
  later: ProjectDocument,
  regions: Regions = NO_REGIONS,
): Differences {
  const [before, after] = [stateOf(earlier, regions), stateOf(later, regions)];
  const known = new Set(later.themes.map(({ id }) => id));
  const columns = [...later.themes, ...earlier.themes.filter(({ id }) => !known.has(id))];
  const groundName = (doc: ProjectDocument) => (doc.ground ? roleNameIn(doc.roles, doc.ground) : 'none');
  return {
    name: earlier.name === later.name ? null : { before: earlier.name, after: later.name },
    ground:
      earlier.ground === later.ground ? null : { before: groundName(earlier), after: groundName(later) },
    columns,
    themes: differing(earlier.themes, later.themes).map(({ was, is }) => ({
      id: (is ?? was)!.id,
      name: (is ?? was)!.name,
      change: changeOf(was, is),
      words: named(was?.name, is?.name),
    })),
    families: differing(earlier.families, later.families).map(({ was, is }) => ({
      id: (is ?? was)!.id,
      name: (is ?? was)!.name,
      change: changeOf(was, is),
      words: wordsOf(families.compared.families, was, is),
      before: was ? (before.system.families.get(was.id)?.base.color.css ?? null) : null,
      after: is ? (after.system.families.get(is.id)?.base.color.css ?? null) : null,
    })),
    roles: roleDifferences(before, after, columns),
    pairs: differing(earlier.pairs, later.pairs).map(({ was, is }) => ({
      id: (is ?? was)!.id,
      name: is ? pairName(later, is) : pairName(earlier, was!),
      change: changeOf(was, is),
      words: was && is ? pairs.compared.pairs.differs(was, is) : [],
    })),
    gradients: differing(earlier.gradients, later.gradients).map(({ was, is }) => ({
      id: (is ?? was)!.id,
      name: (is ?? was)!.name,
      change: changeOf(was, is),
      words: wordsOf(gradients.compared.gradients, was, is),
      before: was ? gradientIn(before, was.id) : null,
      after: is ? gradientIn(after, is.id) : null,
    })),
    lists: WHOLE_LISTS.flatMap((list) =>
      sameJson(earlier[list], later[list]) ? [] : [{ list, words: listWords(earlier[list], later[list]) }],
    ),
    orders: ORDERED_LISTS.filter((list) => isReordered(earlier[list], later[list])),
    words: !sameJson(earlier.words, later.words),
    relatives: !sameJson(earlier.relatives, later.relatives),
    scenes: !sameJson(earlier.scenes, later.scenes),
    delivery: !sameJson(earlier.delivery, later.delivery),
    passing: {
      before: [before.readout.passingOverall, before.readout.pairs * before.readout.themes],
      after: [after.readout.passingOverall, after.readout.pairs * after.readout.themes],
    },
  };
}
