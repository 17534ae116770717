/** Degrees in each unit of angles. */
export const ANGLES: Readonly<Record<string, number>> = { deg: 1, rad: 180 / Math.PI, grad: 0.9, turn: 360 };

/** Characters of an expression that is read; nobody writes longer ones. */
const LONGEST = 4000;
const TOKEN = /[\d.]+(?:e[-+]?\d+)?(?:%|[a-z]+)?|[a-z]+(?:-[a-z]+)*\(?|[-+*/(),]/g;
const CONSTANTS: Readonly<Record<string, number>> = {
  infinity: Number.POSITIVE_INFINITY,
  pi: Math.PI,
  e: Math.E,
};

/** Mathematical functions of CSS (Values 4 §10), by how they take their arguments. */
const FUNCTIONS: Readonly<Record<string, (args: readonly number[]) => number>> = {
  calc: ([a]) => a!,
  min: (args) => Math.min(...args),
  max: (args) => Math.max(...args),
  clamp: ([low, value, high]) => Math.max(low!, Math.min(value!, high!)),
  abs: ([a]) => Math.abs(a!),
  sign: ([a]) => Math.sign(a!),
  sqrt: ([a]) => Math.sqrt(a!),
  pow: ([a, b]) => a! ** b!,
  exp: ([a]) => Math.exp(a!),
  log: ([a, base]) => (base === undefined ? Math.log(a!) : Math.log(a!) / Math.log(base)),
  hypot: (args) => Math.hypot(...args),
  mod: ([a, b]) => a! - b! * Math.floor(a! / b!),
  rem: ([a, b]) => a! % b!,
  round: ([a, step = 1]) => Math.round(a! / step) * step,
  sin: ([a]) => Math.sin(a!),
  cos: ([a]) => Math.cos(a!),
  tan: ([a]) => Math.tan(a!),
};
const COUNTS: Readonly<Record<string, readonly [number, number]>> = {
  min: [1, 64],
  max: [1, 64],
  hypot: [1, 64],
  clamp: [3, 3],
  pow: [2, 2],
  mod: [2, 2],
  rem: [2, 2],
  log: [1, 2],
  round: [1, 2],
};

/**
 * What numbers with units, or a `calc()` or another mathematical function of them in lower case, come to (CSS Values 4 §10):
 * each counted as `units` has it, words as `names` have them. Undefined for anything else.
 */
export function evaluateCalc(
  text: string,
  names: ReadonlyMap<string, number>,
  units: Readonly<Record<string, number>>,
): number | undefined {
  if (text.length > LONGEST) return undefined;
  const tokens = text.match(TOKEN) ?? [];
  if (tokens.join('') !== text.replace(/\s+/g, '')) return undefined;
  let at = 0;
  let depth = 0;
  const list = (): number[] => {
    if (++depth > 60) throw new SyntaxError();
    const values = [sum()];
    while (tokens[at] === ',') {
      at += 1;
      values.push(sum());
    }
    if (tokens[at++] !== ')') throw new SyntaxError();
    depth -= 1;
    return values;
  };
  const factor = (): number => {
    const token = tokens[at++];
    if (token === undefined) throw new SyntaxError();
    if (token === '(') {
      const values = list();
      if (values.length !== 1) throw new SyntaxError();
      return values[0]!;
    }
    if (token.endsWith('(')) {
      const name = token.slice(0, -1);
      const apply = FUNCTIONS[name];
      // How it is to be rounded may stand first.
      if (name === 'round' && tokens[at] === 'nearest') at += 2;
      const values = list();
      const [least, most] = COUNTS[name] ?? [1, 1];
      if (!apply || values.length < least || values.length > most) throw new SyntaxError();
      return apply(values);
    }
    if (token === '-') return -factor();
    if (token === '+') return factor();
    const named = names.get(token) ?? CONSTANTS[token];
    if (named !== undefined) return named;
    const match = /^([\d.]+(?:e[-+]?\d+)?)(%|[a-z]+)?$/.exec(token);
    const unit = match?.[2] ? units[match[2]] : 1;
    if (!match || unit === undefined) throw new SyntaxError();
    return Number(match[1]) * unit;
  };
  const product = (): number => {
    let value = factor();
    while (tokens[at] === '*' || tokens[at] === '/')
      value = tokens[at++] === '*' ? value * factor() : value / factor();
    return value;
  };
  const sum = (): number => {
    let value = product();
    while (tokens[at] === '+' || tokens[at] === '-')
      value = tokens[at++] === '+' ? value + product() : value - product();
    return value;
  };
  try {
    const value = sum();
    return at === tokens.length && !Number.isNaN(value) ? value : undefined;
  } catch (error) {
    if (error instanceof SyntaxError) return undefined;
    throw error;
  }
}
