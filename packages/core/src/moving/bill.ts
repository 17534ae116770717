import { readRules } from '../cascade/rules.ts';
import { colorsOf, opaque } from '../sheet/counted-colors.ts';
import { mergeColors } from '../sheet/merged-colors.ts';
import type { UseCounts } from '../sheet/rule-uses.ts';
import { joinedSheets, placeOfLine, type SheetFile } from '../sheet/sheet-files.ts';
import { NOT_VISIBLY, type SheetSystem } from '../sheet/sheet-system.ts';
import { type PairRatio, pairRatios } from './pair-ratios.ts';

/** Where a colour is written. */
export interface ColorPlace {
  readonly file: string;
  /** From 1. */
  readonly line: number;
  readonly selector: string;
  readonly property: string;
}

/** A colour with how often it is written, and the first place. */
export interface BilledColor {
  readonly color: string;
  readonly count: number;
  readonly place: ColorPlace;
}

/** Colours that nobody tells apart, the one that is written most first. */
interface TwinGroup {
  readonly lead: BilledColor;
  readonly twins: readonly (BilledColor & { readonly distance: number })[];
}

/** What a style sheet has of colours, counted. */
export interface Bill {
  readonly files: readonly string[];
  readonly colors: number;
  /** How often colours are written, in all. */
  readonly written: number;
  readonly twins: readonly TwinGroup[];
  readonly once: readonly BilledColor[];
  readonly failing: readonly PairRatio[];
  /** Pairs in themes that were measured. */
  readonly measured: number;
  readonly uses: UseCounts;
}

/** Draws up what sheets have of colours: near-twins, colours written once, pairs that fail. */
export function billOf(files: readonly SheetFile[], system: SheetSystem): Bill {
  const joined = joinedSheets(files);
  const found = new Map<string, { count: number; place: ColorPlace }>();
  for (const { declarations, selectors } of readRules(joined.text).blocks)
    for (const { property, value, line } of declarations) {
      if (value.length > 20_000) continue;
      for (const { color, count } of colorsOf(value)) {
        const plain = opaque(color);
        const one = found.get(plain);
        if (one) one.count += count;
        else {
          const at = placeOfLine(joined, line);
          const place = { file: at.name, line: at.line, selector: selectors[0] ?? '', property };
          found.set(plain, { count, place });
        }
      }
    }
  const billed = [...found].map(([color, one]): BilledColor => ({ color, ...one }));
  const byColor = new Map(billed.map((one) => [one.color, one]));
  const groups = new Map<string, (BilledColor & { distance: number })[]>();
  for (const { color, into, distance } of mergeColors(billed, NOT_VISIBLY, []).merged) {
    const twin = { ...byColor.get(color)!, distance };
    const group = groups.get(into);
    if (group) group.push(twin);
    else groups.set(into, [twin]);
  }
  const ratios = pairRatios(system);
  return {
    files: files.map(({ name }) => name),
    colors: billed.length,
    written: billed.reduce((sum, { count }) => sum + count, 0),
    twins: [...groups]
      .map(([color, twins]) => ({ lead: byColor.get(color)!, twins }))
      .sort((a, b) => b.twins.length - a.twins.length),
    once: billed.filter(({ count }) => count === 1),
    failing: ratios.filter(({ passes }) => !passes).sort((a, b) => a.ratio - b.ratio),
    measured: ratios.length,
    uses: system.useCounts,
  };
}
