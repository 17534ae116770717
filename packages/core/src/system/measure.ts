import { composite, contrastRatio, type Rgba, reaches } from '../contrast/ratio.ts';
import { effectiveTarget, requiredRatio } from '../contrast/targets.ts';
import { indexById } from './by-id.ts';
import type { Pair, ProjectDocument } from './document.ts';
import type { Painted } from './painted.ts';
import type { ResolvedTheme, System } from './resolve.ts';

const WHITE: Rgba = { r: 255, g: 255, b: 255, alpha: 1 };

/** What a pair comes to in one theme. */
export interface Measurement {
  readonly pair: Pair;
  readonly theme: string;
  /** The colours as painted, composited; null when either link is broken. */
  readonly text: Rgba | null;
  readonly ground: Rgba | null;
  /** Ratio 1–21, 0 when a link is broken. */
  readonly ratio: number;
  readonly required: number;
  readonly passes: boolean;
}

/** What lies beneath everything in a theme: the project's ground role, opaque over white. */
export function groundOf(system: System, theme: ResolvedTheme): Rgba {
  const id = system.document.ground;
  const color = id === null ? null : theme.roles.get(id)?.color;
  return color ? composite(color, WHITE) : WHITE;
}

/**
 * Measures a pair in a theme: the background over the theme's ground, the foreground over that, each
 * composited in paint order, then the WCAG ratio against the pair's target.
 */
export function measurePair(theme: ResolvedTheme, pair: Pair, beneath: Rgba): Measurement {
  const foreground = theme.roles.get(pair.foreground)?.color;
  const background = theme.roles.get(pair.background)?.color;
  const required = requiredRatio(effectiveTarget(pair.target, pair.size, pair.weight));
  const id = theme.theme.id;
  if (!foreground || !background)
    return { pair, theme: id, text: null, ground: null, ratio: 0, required, passes: false };
  const ground = composite(background, beneath);
  const text = composite(foreground, ground);
  const ratio = contrastRatio(text, ground);
  return { pair, theme: id, text, ground, ratio, required, passes: reaches(ratio, required) };
}

/** What is remembered of a pair in a theme: the measurement and the very colours that it was made from. */
interface Remembered {
  readonly foreground: Painted | null;
  readonly background: Painted | null;
  readonly beneath: Rgba;
  readonly measurement: Measurement;
}

interface PairMemory {
  readonly roles: ProjectDocument['roles'];
  /** For each pair, the places of its two roles in the list of roles; −1 where there is none. */
  readonly places: Int32Array;
  readonly byTheme: Map<string, Remembered[]>;
}

// A list of pairs never changes, only its successor does.
const memory = new WeakMap<readonly Pair[], PairMemory>();

function memoryOf({ pairs, roles }: ProjectDocument): PairMemory {
  const known = memory.get(pairs);
  if (known?.roles === roles) return known;
  const index = indexById(roles);
  const places = new Int32Array(pairs.length * 2);
  pairs.forEach((pair, i) => {
    places[i * 2] = index.get(pair.foreground) ?? -1;
    places[i * 2 + 1] = index.get(pair.background) ?? -1;
  });
  const fresh = { roles, places, byTheme: known?.byTheme ?? new Map<string, Remembered[]>() };
  memory.set(pairs, fresh);
  return fresh;
}

const sameColor = (a: Rgba, b: Rgba) => a.r === b.r && a.g === b.g && a.b === b.b;

/** Every pair in one theme, in document order. Pairs whose colours are as before keep their measurement. */
function measureTheme(system: System, theme: ResolvedTheme, { places, byTheme }: PairMemory): Measurement[] {
  const { pairs } = system.document;
  const roles = theme.roles.values();
  const beneath = groundOf(system, theme);
  const id = theme.theme.id;
  const before = byTheme.get(id);
  const now = before ?? new Array<Remembered>(pairs.length);
  if (!before) byTheme.set(id, now);
  const out = new Array<Measurement>(pairs.length);
  for (let i = 0; i < pairs.length; i++) {
    const foreground = roles[places[i * 2]!]?.color ?? null;
    const background = roles[places[i * 2 + 1]!]?.color ?? null;
    const last = now[i];
    if (
      last &&
      last.foreground === foreground &&
      last.background === background &&
      sameColor(last.beneath, beneath)
    )
      out[i] = last.measurement;
    else {
      const measurement = measurePair(theme, pairs[i]!, beneath);
      now[i] = { foreground, background, beneath, measurement };
      out[i] = measurement;
    }
  }
  return out;
}

/** Every pair in every theme, theme by theme in document order. */
export function measureAll(system: System): Measurement[] {
  const remembered = memoryOf(system.document);
  const out: Measurement[] = [];
  for (const theme of system.themes.values())
    for (const measurement of measureTheme(system, theme, remembered)) out.push(measurement);
  return out;
}
