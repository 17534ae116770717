import { shareWords } from '../contrast/share-words.ts';
import { EXEMPT_NAMES } from '../document/pairs/pair.ts';
import type { ContrastReport, ReportedPair, ReportedTheme } from '../judged/readout/report.ts';
import { escapeMarkup } from '../svg/escape-markup.ts';

const STYLE = `
  body { margin: 2rem auto; max-width: 60rem; padding: 0 1rem; color: #141414; background: #ffffff;
    font: 15px/1.45 system-ui, sans-serif; }
  h1 { font-size: 1.6rem; margin: 0 0 .25rem; } h2 { font-size: 1.2rem; margin: 2rem 0 .5rem; }
  table { border-collapse: collapse; width: 100%; font-variant-numeric: tabular-nums; }
  caption { text-align: left; padding-bottom: .25rem; }
  th, td { text-align: left; padding: .3rem .5rem; border-bottom: 1px solid #c4c4c4; vertical-align: middle; }
  td.figure, th.figure { text-align: right; }
  tr.fails td, tr.broken td { font-weight: 700; } .fails .verdict, .broken .verdict { color: #8f1414; }
  svg { display: block; border: 1px solid #8a8a8a; }
  @media print { body { margin: 0; max-width: none; } h2 { break-after: avoid; } tr { break-inside: avoid; } }
`;

const SAID = {
  passes: 'passes',
  fails: 'FAILS',
  broken: 'has a broken link',
  exempt: 'exempt',
  unmeasured: 'not measured: its picture could not be read',
} as const;

const failingWords = (share: number | null) => (share ? `, on ${shareWords(share)} of what it covers` : '');

const verdictWords = ({ verdict, exempt, failingShare }: ReportedPair) =>
  exempt && verdict === 'exempt'
    ? `exempt: ${EXEMPT_NAMES[exempt.as]}. ${exempt.reason}`
    : `${SAID[verdict]}${verdict === 'fails' ? failingWords(failingShare) : ''}`;

/** Both colours side by side; for sighted eyes, the words and figures beside it say the same. */
const swatch = ({ textColor, groundColor }: ReportedPair) =>
  textColor && groundColor
    ? `<svg aria-hidden="true" width="44" height="18"><rect width="44" height="18" fill="${groundColor}"/><rect x="12" y="4" width="20" height="10" fill="${textColor}"/></svg>`
    : '';

const row = (pair: ReportedPair) => `
      <tr class="${pair.verdict}">
        <td>${swatch(pair)}</td>
        <th scope="row">${escapeMarkup(pair.text)} on ${escapeMarkup(pair.ground)}</th>
        <td>${escapeMarkup(pair.target)}, ${pair.size} px, ${pair.weight}</td>
        <td class="figure">${pair.ratio ?? 'none'}</td>
        <td class="figure">${pair.required}</td>
        <td class="verdict">${escapeMarkup(verdictWords(pair))}</td>
      </tr>`;

const section = ({ name, passing, of, pairs }: ReportedTheme) => `
  <section>
    <h2>${escapeMarkup(name)}</h2>
    <table>
      <caption>${passing} of ${of} pairs pass</caption>
      <thead>
        <tr><th scope="col">Colours</th><th scope="col">Pair</th><th scope="col">Asked for</th><th scope="col" class="figure">Ratio</th><th scope="col" class="figure">Needs</th><th scope="col">Verdict</th></tr>
      </thead>
      <tbody>${pairs.map(row).join('')}
      </tbody>
    </table>
  </section>`;

/** What was looked at and is no pair, so that nobody looks for it. */
const declinedSection = (declined: ContrastReport['declined']) =>
  declined.length
    ? `
  <section>
    <h2>Not pairs</h2>
    <table>
      <caption>These were suggested and declined</caption>
      <thead><tr><th scope="col">Pair</th><th scope="col">Reason</th></tr></thead>
      <tbody>${declined
        .map(
          ({ text, ground, reason }) => `
      <tr><th scope="row">${escapeMarkup(text)} on ${escapeMarkup(ground)}</th><td>${escapeMarkup(reason)}</td></tr>`,
        )
        .join('')}
      </tbody>
    </table>
  </section>`
    : '';

/** A report as a page of its own: no script, nothing fetched, made to be printed and read aloud. */
export function writeReportHtml(report: ContrastReport): string {
  const { project, revision, at, rules, passing, of, exempt, declined, themes } = report;
  const made = `${at.slice(0, 10)}${revision === null ? '' : `, revision ${revision}`}`;
  return `<!doctype html>
<html lang="en">
<head>
  <meta charset="utf-8">
  <meta name="viewport" content="width=device-width, initial-scale=1">
  <title>${escapeMarkup(project)}: contrast report</title>
  <style>${STYLE}</style>
</head>
<body>
<main>
  <h1>${escapeMarkup(project)}: contrast report</h1>
  <p><b>${passing} of ${of}</b> measurements pass, by ${rules}${exempt ? `; ${exempt} ${exempt === 1 ? 'pair is' : 'pairs are'} exempt, with the reason` : ''}. Made on ${made}. Ratios are cut after two digits and never rounded up; translucent colours are measured as they are painted.</p>${themes.map(section).join('')}${declinedSection(declined)}
</main>
</body>
</html>
`;
}
