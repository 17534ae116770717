import { rgbToOklab, type Triple } from '../../color/kernel.ts';
import { hexOfRgb8 } from '../../color/write.ts';
import { luminance } from '../../contrast/ratio.ts';
import { applyCommand } from '../../document/commands/apply.ts';
import type { SimpleCommand } from '../../document/commands/command.ts';
import type { ProjectDocument } from '../../document/document.ts';
import type { Round } from '../../document/rounds/round.ts';
import { proposeInParts } from '../../harmony/proposals.ts';
import { saidAs } from '../../in-parts/drain.ts';
import { underTexts } from '../../judged/pairs/under-text.ts';
import { alikeIn, type Readout, readoutOf } from '../../judged/readout/readout.ts';
import { paint } from '../../system/painted.ts';
import { type ResolvedTheme, resolveSystem, type System } from '../../system/resolve.ts';
import { castOf } from '../../system/scenes/cast.ts';
import { type ScenePaints, scenePaints } from '../../system/scenes/scene-paints.ts';

/** A proposal with what it would make of the system. */
export interface ProposedSystem {
  /** `#rrggbb`: the kept colours, one for each free family, then what was added, dark to light. */
  readonly colors: readonly string[];
  /** Pairs that would pass, of all, over all themes. */
  readonly passing: number;
  readonly pairs: number;
  /** Pairs of colours too alike to tell apart, over all themes; and colours outside sRGB. */
  readonly alike: number;
  readonly outside: number;
  /** How a small page would be painted. */
  readonly page: ScenePaints;
}

const rgbOf = (text: string): Triple => {
  const { r, g, b } = paint(text);
  return [r, g, b];
};

/** The free families of a round that are still there, with the base that a proposal has for each. */
export function basesOf(
  document: ProjectDocument,
  round: Round,
  colors: readonly string[],
): { readonly family: string; readonly base: string; readonly was: string }[] {
  // One that follows others by now has no base to set.
  const known = new Map(
    document.families.filter(({ follows }) => !follows).map(({ id, base }) => [id, base]),
  );
  return round.free.flatMap(({ family }, i) => {
    const was = known.get(family);
    const base = colors[round.kept.length + i];
    return was === undefined || base === undefined ? [] : [{ family, base, was }];
  });
}

/** What of a page roles have to paint for it to be shown; else the colours alone paint it. */
const LEAST = ['page', 'text', 'action'] as const;

/** A small page in the roles of the system; in the colours alone where they are not enough for one. */
function pageOf({ document }: System, theme: ResolvedTheme, colors: readonly string[]): ScenePaints {
  const paints = scenePaints(castOf(document), theme, () => null);
  return LEAST.every((use) => paints[use] !== undefined) ? paints : pageOfColors(colors);
}

/** The lightest for the page, the darkest for text, those between for what stands out, the most colourful first. */
function pageOfColors(colors: readonly string[]): ScenePaints {
  const sorted = [...new Set(colors)].sort((a, b) => luminance(paint(a)) - luminance(paint(b)));
  const [dark, pale] = [sorted[0] ?? '#000000', sorted[sorted.length - 1] ?? '#ffffff'];
  const textOn = (ground: string) => (luminance(paint(ground)) > 0.18 ? dark : pale);
  const chroma = (css: string) => {
    const [, a, b] = rgbToOklab(...rgbOf(css));
    return Math.hypot(a, b);
  };
  const between = sorted.slice(1, -1).sort((a, b) => chroma(b) - chroma(a));
  const [action = dark, accent = action, hero = accent] = between;
  return {
    page: pale,
    raised: pale,
    text: dark,
    quiet: dark,
    link: dark,
    line: action,
    action,
    'action-text': textOn(action),
    accent,
    'accent-text': textOn(accent),
    hero,
    'hero-text': textOn(hero),
  };
}

/**
 * The proposals of a round, `wanted` of them, each with what the readout would count if it were adopted whole. Stops
 * after each with the share that is done, 0–1. The document is not changed.
 */
export function* proposeSystems(
  document: ProjectDocument,
  round: Round,
  wanted: number,
): Generator<number, ProposedSystem[]> {
  const recipe = {
    ...round,
    kept: round.kept.map(rgbOf),
    free: round.free.map(({ base }) => rgbOf(base)),
    of: round.of.map((colors) => colors.map(rgbOf)),
  };
  const made = yield* saidAs(proposeInParts(recipe, wanted), (share) => share * 0.2);
  const out: ProposedSystem[] = [];
  let system = resolveSystem(document);
  let readout: Readout = readoutOf(system, undefined, underTexts);
  for (const { colors } of made) {
    const hexes = colors.map(([r, g, b]) => hexOfRgb8(r, g, b));
    const commands = basesOf(document, round, hexes).map(
      ({ family, base }): SimpleCommand => ({ type: 'setBase', family, color: base }),
    );
    const result = applyCommand(document, { type: 'batch', label: 'propose', commands });
    const changed = result.ok ? result.document : document;
    system = resolveSystem(changed, system);
    readout = readoutOf(system, readout);
    const theme = system.themes.values().next().value!;
    const now = readout;
    out.push({
      colors: hexes,
      passing: now.passingOverall,
      pairs: now.pairs * now.themes,
      alike: [...system.themes.keys()].reduce((sum, id) => sum + alikeIn(now, id).length, 0),
      outside: now.outside.length,
      page: pageOf(system, theme, hexes),
    });
    yield 0.2 + (0.8 * out.length) / made.length;
  }
  // Those first that leave the most to be read.
  return out.sort((a, b) => b.passing - a.passing || a.alike - b.alike);
}
