/** What a spreadsheet would run as a formula; what was made harmless before begins with an apostrophe. */
const RUNS = /^'*[=+\-@\t\r]/;

/**
 * A field of RFC 4180: quoted where it holds what means something there. What a spreadsheet would run is told as text, by
 * an apostrophe before it, which {@link readField} takes off again.
 */
export function csvField(value: string | number | null | undefined, between = ','): string {
  const text = value === null || value === undefined ? '' : String(value);
  const harmless = RUNS.test(text) ? `'${text}` : text;
  return /["\r\n]/.test(harmless) || harmless.includes(between)
    ? `"${harmless.replaceAll('"', '""')}"`
    : harmless;
}

/** A field as it was given to {@link csvField}. */
export const readField = (text: string): string => (/^'+[=+\-@\t\r]/.test(text) ? text.slice(1) : text);
