import { parseArgs } from 'node:util';
import { Fault } from './fault.ts';

export interface Flags {
  /** What stands without a flag. */
  readonly places: readonly string[];
  readonly values: Readonly<Record<string, string>>;
}

/**
 * Reads the flags of a command: `--form css --code oklch`, `--classes` for yes, `--no-scenes` for no. Those of `known` are
 * the command's own; others are taken where `others` says that there may be some.
 */
export function readFlags(args: readonly string[], known: readonly string[], others = false): Flags {
  const { tokens } = parseArgs({ args: [...args], strict: false, allowPositionals: true, tokens: true });
  const places: string[] = [];
  const values: Record<string, string> = {};
  let open: string | null = null;
  for (const token of tokens) {
    if (token.kind === 'positional') {
      // A word behind a flag without a value is its value.
      if (open !== null) values[open] = token.value;
      else places.push(token.value);
      open = null;
      continue;
    }
    open = null;
    if (token.kind !== 'option') continue;
    const isNo = token.value === undefined && token.name.startsWith('no-');
    const name = isNo ? token.name.slice(3) : token.name;
    if (!others && !known.includes(name))
      throw new Fault(`There is no --${name} here. Known are: ${known.map((one) => `--${one}`).join(', ')}.`);
    values[name] = token.value ?? (isNo ? 'no' : 'yes');
    if (token.value === undefined && !isNo) open = name;
  }
  return { places, values };
}
