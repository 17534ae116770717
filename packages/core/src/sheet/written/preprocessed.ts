import { closingOf, statements } from '../../cascade/statements.ts';
import { splitOutside } from '../../color/split.ts';

/** Languages that come to CSS, by the sign of their variables. */
export type Language = 'scss' | 'less';

/** Statements that set nothing on their own, or do so only by being run. */
const NOT_RUN =
  /^@(?:use|forward|import|include|mixin|function|if|else|each|for|while|return|extend|debug|warn|error|plugin|charset)\b/i;

/** At-rules of CSS; what else begins so in LESS is a variable. */
const AT_RULES =
  /^@(?:media|supports|layer|property|font-face|keyframes|-\w+-keyframes|container|page|namespace|counter-style|charset|import|plugin|scope|starting-style)\b/i;

/** A text without comments to the end of a line, which CSS does not know; those in strings and addresses are none. */
const withoutLineComments = (text: string) =>
  text.replace(
    /("(?:[^"\\\n]|\\.)*"|'(?:[^'\\\n]|\\.)*'|url\([^)]*\)|\/\*[\s\S]*?\*\/)|\/\/[^\n]*/g,
    (_, kept: string | undefined) => kept ?? '',
  );

const share = (text: string) => {
  const number = Number.parseFloat(text);
  return Number.isFinite(number) ? (text.includes('%') || number > 1 ? number / 100 : number) : null;
};
const points = (text: string) => {
  const number = Number.parseFloat(text);
  return Number.isFinite(number) ? number : null;
};

type Write = (args: readonly string[]) => string | null;
const hsl =
  (write: (amount: number) => string): Write =>
  ([color, amount]) => {
    const by = amount === undefined ? null : points(amount);
    return color && by !== null ? `hsl(from ${color} ${write(by)})` : null;
  };
const mixed = (a: string, b: string, weight: string | undefined) => {
  const of = weight === undefined ? 0.5 : share(weight);
  return of === null ? null : `color-mix(in srgb, ${a} ${of * 100}%, ${b})`;
};
const alpha = (write: (by: number) => string): Write => {
  return ([color, amount]) => {
    const by = amount === undefined ? null : share(amount);
    return color && by !== null ? `rgb(from ${color} r g b / ${write(by)})` : null;
  };
};

/** What functions of both languages come to in CSS; null where it cannot be told. */
const FUNCTIONS: Readonly<Record<string, Write>> = {
  lighten: hsl((by) => `h s min(100, calc(l + ${by}))`),
  darken: hsl((by) => `h s max(0, calc(l - ${by}))`),
  saturate: hsl((by) => `h min(100, calc(s + ${by})) l`),
  desaturate: hsl((by) => `h max(0, calc(s - ${by})) l`),
  'adjust-hue': hsl((by) => `calc(h + ${by}) s l`),
  spin: hsl((by) => `calc(h + ${by}) s l`),
  complement: ([color]) => (color ? `hsl(from ${color} calc(h + 180) s l)` : null),
  grayscale: ([color]) => (color ? `hsl(from ${color} h 0 l)` : null),
  greyscale: ([color]) => (color ? `hsl(from ${color} h 0 l)` : null),
  invert: ([color, ...rest]) =>
    color && !rest.length ? `rgb(from ${color} calc(255 - r) calc(255 - g) calc(255 - b))` : null,
  mix: ([a, b, weight]) => (a && b ? mixed(a, b, weight) : null),
  tint: ([color, weight]) => (color ? mixed('#fff', color, weight) : null),
  shade: ([color, weight]) => (color ? mixed('#000', color, weight) : null),
  'tint-color': ([color, weight]) => (color ? mixed('#fff', color, weight) : null),
  'shade-color': ([color, weight]) => (color ? mixed('#000', color, weight) : null),
  fade: alpha((by) => `${by}`),
  fadein: alpha((by) => `min(1, calc(alpha + ${by}))`),
  'fade-in': alpha((by) => `min(1, calc(alpha + ${by}))`),
  opacify: alpha((by) => `min(1, calc(alpha + ${by}))`),
  fadeout: alpha((by) => `max(0, calc(alpha - ${by}))`),
  'fade-out': alpha((by) => `max(0, calc(alpha - ${by}))`),
  transparentize: alpha((by) => `max(0, calc(alpha - ${by}))`),
  rgba: (args) => {
    const [color, opacity] = args;
    const of = args.length === 2 ? share(opacity!) : null;
    return of === null ? null : `rgb(from ${color} r g b / ${of})`;
  },
  'map-get': ([map, key]) => (map && key ? keyed(map, key) : null),
  'map.get': ([map, key]) => (map && key ? keyed(map, key) : null),
};
for (const name of ['mix', 'invert', 'grayscale', 'complement', 'lighten', 'darken'] as const)
  (FUNCTIONS as Record<string, Write>)[`color.${name}`] = FUNCTIONS[name]!;

const NAME = /^var\((--[\w-]+)\)$/;
const keyed = (map: string, key: string) => {
  const name = NAME.exec(map.trim())?.[1];
  const plain = key.trim().replace(/^["']|["']$/g, '');
  return name && /^[\w-]+$/.test(plain) ? `var(${name}-${plain})` : null;
};

const CALL = /(?<![\w.-])([a-z][\w.-]*)\(/gi;
const DEEPEST = 12;

/** A value with the functions of a language as CSS has them; one that cannot be told is left. */
function converted(value: string, depth = 0): string {
  if (depth > DEEPEST || !value.includes('(')) return value;
  let out = '';
  let from = 0;
  CALL.lastIndex = 0;
  for (let call = CALL.exec(value); call; call = CALL.exec(value)) {
    if (call.index < from) continue;
    const open = call.index + call[0].length - 1;
    const close = closingOf(value, open);
    const inner = converted(value.slice(open + 1, close), depth + 1);
    const write = FUNCTIONS[call[1]!.toLowerCase()];
    const args = splitOutside(inner, ',').map((one) => one.trim());
    out += `${value.slice(from, call.index)}${write?.(args) ?? `${call[1]}(${inner})`}`;
    from = close + 1;
    CALL.lastIndex = from;
  }
  return out + value.slice(from);
}

/** `("primary": #0d6efd, "deep": (...))` as declarations behind a name. */
function mapped(name: string, value: string, depth = 0): string[] {
  const inner = value.slice(1, -1);
  return splitOutside(inner, ',').flatMap((entry) => {
    const [, key, own] = /^\s*["']?([\w-]+)["']?\s*:\s*([\s\S]+?)\s*$/.exec(entry) ?? [];
    if (!key || !own) return [];
    return own.startsWith('(') && own.endsWith(')') && depth < 4
      ? mapped(`${name}-${key}`, own, depth + 1)
      : [`${name}-${key}: ${converted(own)};`];
  });
}

const FLAGS = /\s*!(?:default|global)\b/gi;

/**
 * A sheet in SCSS or LESS as CSS: its variables are custom properties of the page, those with a default weaker than others, and
 * functions of colours become what CSS has for them. Mixins, conditions and loops are not run.
 */
export function preprocessed(text: string, language: Language): string {
  const named = (source: string) =>
    language === 'scss'
      ? source
          .replace(/#\{\s*\$([\w-]+)\s*\}/g, 'var(--$1)')
          .replace(/(?<![\w-])(?:\w+\.)?\$([\w-]+)/g, 'var(--$1)')
      : source.replace(/@\{([\w-]+)\}/g, 'var(--$1)').replace(/@@?([\w-]+)/g, 'var(--$1)');
  const source = withoutLineComments(text);
  const sign = language === 'scss' ? '\\$' : '@';
  const variable = new RegExp(`^\\s*${sign}([\\w-]+)\\s*:\\s*([\\s\\S]*)$`);
  return [...statements(source)]
    .map(({ whole, head, block }) => {
      const start = head.replace(/\/\*[\s\S]*?\*\//g, '').trim();
      const own = block === null && !AT_RULES.test(start) ? variable.exec(start) : null;
      if (own) return onItsLine(whole, declared(own[1]!, own[2]!, named));
      if (NOT_RUN.test(start)) return onItsLine(whole, '');
      return onItsLine(whole, block === null ? whole.trim() : rulesOf(head, block, language, named));
    })
    .join('');
}

const linesIn = (text: string) => text.split('\n').length - 1;

/** What a statement comes to, so that what follows stands on the line on which it stood. */
function onItsLine(whole: string, text: string): string {
  const before = '\n'.repeat(linesIn(/^\s*/.exec(whole)![0]));
  const after = Math.max(0, linesIn(whole) - before.length - linesIn(text.trim()));
  return before + text.trim() + '\n'.repeat(after);
}

/** A variable of a language as custom properties of the page, weaker than others where it is a default. */
function declared(name: string, said: string, named: (text: string) => string): string {
  const value = named(said.replace(FLAGS, '').trim());
  const all =
    value.startsWith('(') && closingOf(value, 0) === value.length - 1
      ? mapped(`--${name}`, value)
      : [`--${name}: ${converted(value)};`];
  return `${/!default\b/i.test(said) ? ':where(:root)' : ':root'} { ${all.join(' ')} }`;
}

function rulesOf(head: string, block: string, language: Language, named: (text: string) => string): string {
  const out: string[] = [];
  const sign = language === 'scss' ? '\\$' : '@';
  const variable = new RegExp(`^\\s*${sign}([\\w-]+)\\s*:`);
  for (const { whole, head: inner, block: nested } of statements(block)) {
    const start = inner.trim();
    if (NOT_RUN.test(start)) {
      out.push(onItsLine(whole, ''));
      continue;
    }
    const text =
      nested !== null
        ? rulesOf(inner, nested, language, named)
        : variable.test(start) && !AT_RULES.test(start)
          ? `${converted(named(start.replace(variable, (_, name: string) => `--${name}:`).replace(FLAGS, '')))};`
          : converted(named(whole));
    out.push(onItsLine(whole, text));
  }
  const own = AT_RULES.test(head.trim()) ? head : named(head);
  return `${own.trim()} {${out.join('')}}`;
}
