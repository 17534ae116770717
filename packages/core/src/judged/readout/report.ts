import { hexOfRgb8 } from '../../color/write.ts';
import { formatRatio } from '../../contrast/ratio.ts';
import { describeTarget, effectiveTarget, requiredRatio } from '../../contrast/targets.ts';
import { groundName } from '../../document/naming/pair-name.ts';
import { roleNameIn, writeRoleName } from '../../document/naming/role-name.ts';
import { type Exemption, isLayered } from '../../document/pairs/pair.ts';
import type { Measurement } from '../pairs/measurement.ts';
import type { Readout } from './readout.ts';

/** `unmeasured`: the pixels of the picture under it could not be had. */
type Verdict = 'passes' | 'fails' | 'broken' | 'exempt' | 'unmeasured';

/** A pair in a theme, as it is reported: in words, and with the figures that are shown. */
export interface ReportedPair {
  /** The pair's id in the project. */
  readonly pair: string;
  readonly text: string;
  readonly ground: string;
  /** Such as "AA body text"; what holds for the size. */
  readonly target: string;
  /** CSS px, and weight 100–900. */
  readonly size: number;
  readonly weight: number;
  /** Two decimals, cut and never rounded up; null where a link is broken. */
  readonly ratio: string | null;
  readonly required: number;
  readonly verdict: Verdict;
  /** Why it has not to reach its target; null where it has to. */
  readonly exempt: Exemption | null;
  /** The share of what it stands on, 0–1, on which it falls short; null where that is one colour. */
  readonly failingShare: number | null;
  /** `#rrggbb` as painted, composited; null where a link is broken. */
  readonly textColor: string | null;
  readonly groundColor: string | null;
}

export interface ReportedTheme {
  readonly name: string;
  readonly passing: number;
  /** Pairs that have something to reach. */
  readonly of: number;
  /** What fails first, then what passes, what is exempt last; each in the document's order. */
  readonly pairs: readonly ReportedPair[];
}

/** A pair that was suggested and is not wanted. */
interface ReportedDecline {
  readonly text: string;
  readonly ground: string;
  readonly reason: string;
}

/** Every pair in every theme, as plain data: the same for a page, a table, a file and a build. */
export interface ContrastReport {
  readonly project: string;
  /** Revision of the project's log; null where that is not known. */
  readonly revision: number | null;
  /** When it was made, ISO 8601. */
  readonly at: string;
  readonly rules: 'WCAG 2.2';
  readonly passing: number;
  /** Measurements: pairs that have something to reach, times themes. */
  readonly of: number;
  /** Pairs that are exempt. */
  readonly exempt: number;
  readonly declined: readonly ReportedDecline[];
  readonly themes: readonly ReportedTheme[];
}

const hex = (color: Measurement['text']) =>
  color && hexOfRgb8(Math.round(color.r), Math.round(color.g), Math.round(color.b));

/** What a readout comes to as a report; `at` is ISO 8601. */
export function reportOf(readout: Readout, revision: number | null, at: string): ContrastReport {
  const { document } = readout.system;
  const names = new Map(document.roles.map((role) => [role.id, writeRoleName(role)]));
  const nameOf = (role: string) => names.get(role) ?? roleNameIn([], role);
  // What is the same in every theme is worked out once.
  const words = new Map(
    document.pairs.map((pair) => {
      const target = effectiveTarget(pair.target, pair.size, pair.weight);
      return [
        pair,
        {
          text: nameOf(pair.foreground),
          ground: isLayered(pair) ? groundName(document, pair) : nameOf(pair.background),
          target: describeTarget(target),
          required: requiredRatio(target),
        },
      ] as const;
    }),
  );
  const reported = (measured: Measurement): ReportedPair => {
    const { pair, text, ground, ratio, required, passes, over, awaited } = measured;
    const named = words.get(pair)!;
    // Written out: objects put together from others are many times as slow, and there may be a hundred thousand.
    return {
      pair: pair.id,
      text: named.text,
      ground: named.ground,
      target: named.target,
      size: pair.size,
      weight: pair.weight,
      ratio: text ? formatRatio(ratio) : null,
      required: pair.exempt ? named.required : required,
      verdict: awaited
        ? 'unmeasured'
        : !text
          ? 'broken'
          : pair.exempt
            ? 'exempt'
            : passes
              ? 'passes'
              : 'fails',
      exempt: pair.exempt ?? null,
      failingShare: over && (over.bare || over.along !== null) ? over.failing : null,
      textColor: hex(text),
      groundColor: hex(ground),
    };
  };
  return {
    project: document.name,
    revision,
    at,
    rules: 'WCAG 2.2',
    passing: readout.passingOverall,
    of: readout.pairs * readout.themes,
    exempt: readout.exempt,
    declined: document.declined
      .filter(
        ({ foreground, background }) =>
          !document.pairs.some((pair) => pair.foreground === foreground && pair.background === background),
      )
      .map(({ foreground, background, reason }) => ({
        text: roleNameIn(document.roles, foreground),
        ground: roleNameIn(document.roles, background),
        reason,
      })),
    themes: document.themes.map(({ id, name }) => {
      const { measurements, passing } = readout.measured.get(id)!;
      const ranks: Record<'look' | 'passes' | 'exempt', ReportedPair[]> = {
        look: [],
        passes: [],
        exempt: [],
      };
      for (const measured of measurements) {
        const one = reported(measured);
        ranks[one.verdict === 'passes' || one.verdict === 'exempt' ? one.verdict : 'look'].push(one);
      }
      return {
        name,
        passing,
        of: readout.pairs,
        pairs: [...ranks.look, ...ranks.passes, ...ranks.exempt],
      };
    }),
  };
}
