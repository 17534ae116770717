import type { ContrastReport } from '../judged/readout/report.ts';

/** A field of RFC 4180: quoted where it holds what means something there. What a spreadsheet would run is told as text. */
function field(value: string | number | null): string {
  const text = value === null ? '' : String(value);
  const harmless = /^[=+\-@\t\r]/.test(text) ? `'${text}` : text;
  return /[",\r\n]/.test(harmless) ? `"${harmless.replaceAll('"', '""')}"` : harmless;
}

const HEAD = [
  'theme',
  'text',
  'ground',
  'target',
  'size px',
  'weight',
  'ratio',
  'required',
  'verdict',
  'text colour',
  'ground colour',
  'exempt as',
  'reason',
];

/** A report as comma-separated values (RFC 4180), a line for each pair in each theme, and for each that was declined. */
export function writeReportCsv({ themes, declined }: ContrastReport): string {
  const lines = themes.flatMap(({ name, pairs }) =>
    pairs.map((pair) =>
      [
        name,
        pair.text,
        pair.ground,
        pair.target,
        pair.size,
        pair.weight,
        pair.ratio,
        pair.required,
        pair.verdict,
        pair.textColor,
        pair.groundColor,
        pair.exempt?.as ?? null,
        pair.exempt?.reason ?? null,
      ]
        .map(field)
        .join(','),
    ),
  );
  const none = declined.map(({ text, ground, reason }) =>
    HEAD.map((head) => field({ text, ground, reason, verdict: 'declined' }[head] ?? null)).join(','),
  );
  return `${[HEAD.join(','), ...lines, ...none].join('\r\n')}\r\n`;
}
