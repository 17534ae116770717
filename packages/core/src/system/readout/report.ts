import { hexOfRgb8 } from '../../color/write.ts';
import { formatRatio } from '../../contrast/ratio.ts';
import { describeTarget, effectiveTarget } from '../../contrast/targets.ts';
import type { Measurement } from '../pairs/measure.ts';
import { roleNameIn } from '../roles/role-name.ts';
import type { Readout } from './readout.ts';

export type Verdict = 'passes' | 'fails' | 'broken';

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
  /** `#rrggbb` as painted, composited; null where a link is broken. */
  readonly textColor: string | null;
  readonly groundColor: string | null;
}

export interface ReportedTheme {
  readonly name: string;
  readonly passing: number;
  /** What fails first, then in the document's order. */
  readonly pairs: readonly ReportedPair[];
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
  /** Measurements: pairs times themes. */
  readonly of: number;
  readonly themes: readonly ReportedTheme[];
}

const hex = (color: Measurement['text']) =>
  color && hexOfRgb8(Math.round(color.r), Math.round(color.g), Math.round(color.b));

/** What a readout comes to as a report; `at` is ISO 8601. */
export function reportOf(readout: Readout, revision: number | null, at: string): ContrastReport {
  const { document } = readout.system;
  const reported = ({ pair, text, ground, ratio, required, passes }: Measurement): ReportedPair => ({
    pair: pair.id,
    text: roleNameIn(document.roles, pair.foreground),
    ground: roleNameIn(document.roles, pair.background),
    target: describeTarget(effectiveTarget(pair.target, pair.size, pair.weight)),
    size: pair.size,
    weight: pair.weight,
    ratio: text ? formatRatio(ratio) : null,
    required,
    verdict: passes ? 'passes' : text ? 'fails' : 'broken',
    textColor: hex(text),
    groundColor: hex(ground),
  });
  return {
    project: document.name,
    revision,
    at,
    rules: 'WCAG 2.2',
    passing: readout.passingOverall,
    of: readout.pairs * readout.themes,
    themes: document.themes.map(({ id, name }) => {
      const { measurements, passing } = readout.measured.get(id)!;
      const pairs = measurements.map(reported);
      const isFine = ({ verdict }: ReportedPair) => verdict === 'passes';
      return { name, passing, pairs: [...pairs.filter((one) => !isFine(one)), ...pairs.filter(isFine)] };
    }),
  };
}
