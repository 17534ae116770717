import { csvField } from '../exchange/csv-field.ts';
import type { Replacement } from './move-sheets.ts';

/** A field; the name of a custom property is no formula, for all that it begins with a sign. */
const field = (value: string | number) =>
  typeof value === 'string' && /^--[\w-]+$/.test(value) ? value : csvField(value);

/** Replacements as CSV (RFC 4180), with a head: what was, what it is now, how often, and where first. */
export function writeReplacements(replacements: readonly Replacement[]): string {
  const rows = replacements.map(({ from, to, count, selectors }) => [from, to, count, selectors.join(' | ')]);
  return [['from', 'to', 'times', 'selectors'], ...rows]
    .map((row) => row.map(field).join(','))
    .join('\r\n')
    .concat('\r\n');
}
