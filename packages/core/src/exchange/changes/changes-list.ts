import type { ChangedValue, ChangesSince } from './changes-since.ts';

const value = ({ property, name, theme, was, is }: ChangedValue) =>
  `- \`${property}\` (${name}${theme === null ? '' : `, ${theme}`}): ${was ?? 'none'} → ${is ?? 'none'}`;

const part = (title: string, lines: readonly string[]) =>
  lines.length ? [`## ${title}\n\n${lines.join('\n')}`] : [];

/** What changed, as a list for whoever uses the files: plain text with the marks of Markdown. */
export function writeChangesList(project: string, since: string, changes: ChangesSince): string {
  const { values, ratios, renamed, removed, added } = changes;
  const parts = [
    `# ${project}: what changed since ${since}`,
    ...part('Names', [
      ...renamed.map(({ kind, from, to }) =>
        kind === 'theme' ? `- theme \`${from}\` → \`${to}\`` : `- \`${from}\` → \`${to}\``,
      ),
      ...removed.map(
        ({ property, name, instead, why }) =>
          `- \`${property}\` (${name}) is gone${instead ? `; instead \`${instead}\`, since ${why}` : '; nothing stands for it'}`,
      ),
      ...added.map((property) => `- \`${property}\` is new`),
    ]),
    ...part('Values', values.map(value)),
    ...part(
      'Contrast',
      ratios.map(
        ({ pair, theme, was, is, required, passed, passes }) =>
          `- ${pair}, ${theme}: ${was} → ${is} of ${required}${passed === passes ? '' : passes ? ', passes now' : ', FAILS now'}`,
      ),
    ),
  ];
  if (parts.length === 1) parts.push('Nothing.');
  return `${parts.join('\n\n')}\n`;
}
