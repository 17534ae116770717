import { clamp, clamp01 } from '../numbers/clamp.ts';
import { ANGLES, evaluateCalc } from './calc.ts';
import { convert } from './convert.ts';
import { type HueWay, mixIn } from './mix.ts';
import type { ParseResult } from './parse-result.ts';
import { type Channel, type Color, color, SPACES, type SpaceId } from './spaces.ts';
import { splitOutside } from './split.ts';
import { isUnfixed } from './unfixed.ts';

/** Reads a colour inside another. */
type Read = (text: string) => ParseResult;
type Scheme = 'light' | 'dark';

const no = (reason: string): ParseResult => ({ ok: false, reason });

/** The spaces that CSS knows, by every name that it has for them. */
const CSS_SPACES = new Map<string, SpaceId>();
/** The spaces that have a function of their own, by its names. */
const OWN_FUNCTIONS = new Map<string, SpaceId>();
for (const { id, css } of Object.values(SPACES)) {
  if (css.as !== 'none') CSS_SPACES.set(id, id);
  if (css.as === 'color') for (const alias of css.aliases ?? []) CSS_SPACES.set(alias, id);
  if (css.as === 'function') for (const name of [css.name, css.alias]) if (name) OWN_FUNCTIONS.set(name, id);
}
const HEAD = /^in\s+([\w-]+)(?:\s+(shorter|longer|increasing|decreasing)\s+hue)?$/i;
const PERCENT = /^([\d.]+)%$/;

/** `color-mix(in oklch longer hue, red 30%, blue)` (CSS Color 5 §3). */
function readMix(args: string, read: Read): ParseResult {
  const parts = splitOutside(args, ',');
  const head = HEAD.exec(parts[0] ?? '');
  const space = head && CSS_SPACES.get(head[1]!.toLowerCase());
  if (!space) return no('color-mix() begins with "in" and a colour space, such as "in oklab".');
  if (parts.length !== 3) return no(`color-mix() takes two colours; this has ${parts.length - 1}.`);
  const shares: (number | null)[] = [];
  const colors: Color[] = [];
  for (const part of parts.slice(1)) {
    const words = splitOutside(part, ' ');
    const share = words.find((word) => PERCENT.test(word) || (OWN_MATH.test(word) && word.includes('%')));
    const result = read(words.filter((word) => word !== share).join(' '));
    if (!result.ok) return result;
    shares.push(share === undefined ? null : Number.parseFloat(workedOut(share) ?? 'x'));
    colors.push(result.color);
  }
  let [p, q] = shares as [number | null, number | null];
  if ([p, q].some((one) => one !== null && !(one >= 0))) return no('A share in color-mix() is 0 to 100 %.');
  if (p !== null && p > 100) return no('A share in color-mix() is at most 100 %.');
  if (q !== null && q > 100) return no('A share in color-mix() is at most 100 %.');
  if (p === null) p = q === null ? 50 : 100 - q;
  if (q === null) q = 100 - p;
  if (p + q === 0) return no('The shares in color-mix() are both 0 %.');
  const mixed = mixIn(
    colors[0]!,
    colors[1]!,
    q / (p + q),
    space,
    (head[2]?.toLowerCase() ?? 'shorter') as HueWay,
  );
  // Shares that come to less than 100 % leave the rest transparent.
  const alpha = (mixed.alpha ?? 0) * Math.min(1, (p + q) / 100);
  return { ok: true, color: { ...mixed, alpha } };
}

/** A number, percentage, channel keyword, `none`, or calc() of those: the value in the space's own units. */
function evaluate(text: string, names: ReadonlyMap<string, number>, percentOf: number): Channel | undefined {
  const trimmed = text.trim().toLowerCase();
  if (trimmed === 'none') return null;
  const value = evaluateCalc(trimmed, names, { ...ANGLES, '%': percentOf / 100 });
  return value === undefined ? undefined : clamp(value, -MOST, MOST);
}

/** What is infinite in a channel is as far as any colour goes. */
const MOST = 1e6;

const MATH = /\b(?:calc|min|max|clamp|abs|sign|sqrt|pow|exp|log|hypot|mod|rem|round|sin|cos|tan)\(/;
const OWN_MATH = new RegExp(`^${MATH.source}`);

/** A value of a colour function with what it comes to in the place of an expression: `calc(41% - 10%)` is `31%`. */
function workedOut(word: string): string | null {
  if (!OWN_MATH.test(word)) return word;
  const isShare = word.includes('%');
  const value = evaluateCalc(word, NO_NAMES, isShare ? { '%': 1 } : ANGLES);
  return value === undefined ? null : `${clamp(value, -MOST, MOST)}${isShare ? '%' : ''}`;
}
const NO_NAMES: ReadonlyMap<string, number> = new Map();

/** A colour function with expressions as channels, which are worked out. */
function readWithMath(name: string, args: string, read: Read): ParseResult {
  const commas = splitOutside(args, ',');
  const isOld = commas.length > 1;
  const parts = isOld ? commas : splitOutside(args, '/');
  const worked = parts.map((part) =>
    isOld ? workedOut(part) : joined(splitOutside(part, ' ').map(workedOut)),
  );
  if (worked.includes(null)) return no(`An expression in ${name}() is not understood.`);
  return read(`${name}(${worked.join(isOld ? ', ' : ' / ')})`);
}

const joined = (words: readonly (string | null)[]) => (words.includes(null) ? null : words.join(' '));

/** `oklch(from #0b5f6b calc(l + 0.1) c h / 50%)` (CSS Color 5 §4). */
function readRelative(name: string, args: string, read: Read): ParseResult {
  const [main, alphaText, tooMany] = splitOutside(args, '/');
  if (tooMany !== undefined) return no(`${name}() has one slash at most, before the opacity.`);
  const words = splitOutside(main!, ' ');
  const origin = read(words[1] ?? '');
  if (!origin.ok) return no(`The colour after "from" is not understood: ${origin.reason}`);
  const own = name === 'color' ? CSS_SPACES.get(words[2] ?? '') : OWN_FUNCTIONS.get(name);
  if (!own) return no(`"${words[2] ?? ''}" is no space that color() knows.`);
  const values = words.slice(name === 'color' ? 3 : 2);
  if (values.length !== 3) return no(`${name}(from …) needs three values; this has ${values.length}.`);
  const definition = SPACES[own];
  // rgb() counts its channels to 255; everything else is in the space's own units.
  const scale = own === 'srgb' && name !== 'color' ? 255 : 1;
  const from = convert(origin.color, own);
  const names = new Map(definition.channels.map((channel, i) => [channel.id, (from.coords[i] ?? 0) * scale]));
  names.set('alpha', origin.color.alpha ?? 0);
  const coords: Channel[] = [];
  for (const [i, text] of values.entries()) {
    const channel = definition.channels[i]!;
    const value = evaluate(text, names, channel.id === 'h' ? 360 : channel.max * scale);
    if (value === undefined) return no(`"${text}" in ${name}(from …) is not understood.`);
    coords.push(value === null ? null : value / scale);
  }
  const alpha = alphaText === undefined ? origin.color.alpha : evaluate(alphaText, names, 1);
  if (alpha === undefined) return no(`The opacity "${alphaText}" is not understood.`);
  const clamped = alpha === null ? null : clamp01(alpha);
  return { ok: true, color: color(own, coords as [Channel, Channel, Channel], clamped) };
}

/**
 * Reads the colour functions that stand for a computed colour: color-mix(), relative colours and light-dark(),
 * nested as deep as one likes to 8. Null for any other text; a reason where it depends on the page.
 */
export function readComputed(text: string, read: Read, scheme: Scheme): ParseResult | null {
  if (/\bvar\(|\benv\(|\battr\(/.test(text))
    return no('It depends on a variable of its page, which is not known here.');
  if (/^currentcolor$/.test(text))
    return no('currentcolor is the text colour of its place in a page, which is not known here.');
  const match = /^([a-z-]+)\((.*)\)$/s.exec(text);
  if (!match) return null;
  const [, name, args] = match as unknown as [string, string, string];
  if (name === 'color-mix') return readMix(args, read);
  if (name === 'light-dark') {
    const parts = splitOutside(args, ',');
    if (parts.length !== 2) return no(`light-dark() takes two colours; this has ${parts.length}.`);
    const [own, other] = scheme === 'light' ? parts : [parts[1], parts[0]];
    // Both are to be colours, whichever is seen.
    const unseen = isUnfixed(other!) ? null : read(other!);
    return unseen && !unseen.ok ? unseen : read(own!);
  }
  if (/^from\s/.test(args.trim()) && (name === 'color' || OWN_FUNCTIONS.has(name)))
    return readRelative(name, args.trim(), read);
  if (MATH.test(args) && (name === 'color' || OWN_FUNCTIONS.has(name)))
    return readWithMath(name, args.trim(), read);
  return null;
}
