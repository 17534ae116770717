import type { ContrastReport } from '../judged/readout/report.ts';
import { csvField } from './csv-field.ts';

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
        .map((value) => csvField(value))
        .join(','),
    ),
  );
  const none = declined.map(({ text, ground, reason }) =>
    HEAD.map((head) => csvField({ text, ground, reason, verdict: 'declined' }[head] ?? null)).join(','),
  );
  return `${[HEAD.join(','), ...lines, ...none].join('\r\n')}\r\n`;
}
