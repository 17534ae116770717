import type { Finding, FindingGroup } from '../kinds/finding.ts';

/** Things of one kind that are shown while nothing is typed. */
const FIRST = 6;
/** Things that are shown at most for what is typed. */
const MOST = 60;

const words = (text: string) =>
  text
    .toLowerCase()
    .split(/[\s.,:/]+/)
    .filter(Boolean);

/**
 * How well a thing fits what is typed: 0 not at all. Every word typed must begin a word of its name or of its
 * kind's or of those it is found by besides, or at least stand in the name; whole words and words at the beginning count for more.
 */
function fit(finding: Pick<Finding, 'name' | 'also'>, title: string, typed: readonly string[]): number {
  const own = words(finding.name);
  const kind = words(`${title} ${finding.also ?? ''}`);
  const whole = finding.name.toLowerCase();
  let sum = 0;
  for (const word of typed) {
    const at = own.findIndex((other) => other.startsWith(word));
    if (at !== -1) sum += (own[at] === word ? 6 : 4) - Math.min(at, 3) * 0.5;
    else if (kind.some((other) => other.startsWith(word))) sum += 1;
    else if (whole.includes(word)) sum += 2;
    else return 0;
  }
  // Of two that fit alike the shorter is meant.
  return sum + 1 / (1 + own.length);
}

export interface ShownGroup extends FindingGroup {
  /** Things that fit too, and are not shown. */
  readonly more: number;
}

/** What the finder shows: the first of each kind, or what fits best, the kind with the best fit first. */
export function bestFindings(groups: readonly FindingGroup[], text: string): ShownGroup[] {
  const typed = words(text);
  if (!typed.length)
    return groups.flatMap(({ title, findings, whenTyped }) => {
      if (whenTyped) return [];
      const shown = findings.slice(0, title === 'Stations' ? findings.length : FIRST);
      return [{ title, findings: shown, more: findings.length - shown.length }];
    });
  const fitting = groups.flatMap(({ title, findings }) =>
    findings.flatMap((finding) => {
      const score = fit(finding, title, typed);
      return score > 0 ? [{ title, finding, score }] : [];
    }),
  );
  const shown = fitting.sort((a, b) => b.score - a.score).slice(0, MOST);
  const titles = [...new Set(shown.map(({ title }) => title))];
  return titles.map((title) => {
    const of = shown.filter((one) => one.title === title).map(({ finding }) => finding);
    const all = fitting.filter((one) => one.title === title).length;
    return { title, findings: of, more: all - of.length };
  });
}
