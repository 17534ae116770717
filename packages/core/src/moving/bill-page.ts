import { formatRatio } from '../contrast/ratio.ts';
import { escapeMarkup } from '../svg/escape-markup.ts';
import type { Bill, BilledColor, ColorPlace } from './bill.ts';
import { ASKED } from './pair-ratios.ts';

const STYLE = `
  :root { color-scheme: light; --ink: #161616; --quiet: #4a4a4a; --ground: #fff; --hair: #c8c8c8; }
  body { margin: 0; background: var(--ground); color: var(--ink); font: 14px/1.45 system-ui, sans-serif; overflow-wrap: anywhere; }
  main { max-width: 60rem; margin: 0 auto; padding: 2rem 1.25rem 4rem; }
  h1 { font-size: 1.75rem; line-height: 1.2; margin: 0; } h2 { font-size: 1.25rem; margin: 2rem 0 .25rem; border-top: 2px solid; padding-top: .5rem; }
  p { margin: .25rem 0; } .quiet { color: var(--quiet); }
  .sums { display: grid; grid-template-columns: repeat(auto-fit, minmax(9rem, 1fr)); gap: .5rem 1.5rem; margin: 1.25rem 0; padding: 0; list-style: none; }
  .sums b { display: block; font-size: 1.75rem; line-height: 1.1; }
  table { border-collapse: collapse; width: 100%; } td, th { text-align: left; padding: .25rem .5rem .25rem 0; border-bottom: 1px solid var(--hair); vertical-align: middle; } th { font-weight: 400; color: var(--quiet); }
  .row { display: flex; height: 2rem; border: 1px solid #808080; border-radius: 4px; overflow: hidden; min-width: 4rem; print-color-adjust: exact; -webkit-print-color-adjust: exact; } .row span { flex: 1; }
  .words { display: inline-block; padding: .25rem .75rem; border: 1px solid var(--hair); border-radius: 4px; font-size: 16px; print-color-adjust: exact; -webkit-print-color-adjust: exact; }
  section { content-visibility: auto; contain-intrinsic-size: auto 60rem; } @media print { section { content-visibility: visible; } }
  code { font: 12px ui-monospace, monospace; } tr { break-inside: avoid; } h2 { break-after: avoid; }
  .once { display: grid; grid-template-columns: repeat(auto-fill, minmax(17rem, 1fr)); gap: .35rem 1rem; list-style: none; padding: 0; margin: .5rem 0; } .once li { display: flex; gap: .5rem; align-items: center; break-inside: avoid; } .once .row { flex: none; width: 2.5rem; min-width: 0; height: 1.5rem; }
`;
/** Of each list: nobody reads more on paper, and the list of replacements has all. */
const MOST = 300;

const e = escapeMarkup;
const painted = (colors: readonly string[]) =>
  `<span class="row" aria-hidden="true">${colors.map((css) => `<span style="background:${e(css)}"></span>`).join('')}</span>`;
const placeText = ({ file, line, selector, property }: ColorPlace) =>
  `<code>${e(selector.slice(0, 120))} { ${e(property)} }</code> <span class="quiet">${e(file)}, line ${line}</span>`;
const more = (all: number) => (all > MOST ? `<p class="quiet">and ${all - MOST} more</p>` : '');
const times = (n: number) => (n === 1 ? 'once' : `${n} times`);
const USE_NAMES = {
  text: 'text',
  ground: 'grounds',
  line: 'lines',
  shadow: 'shadows',
  gradient: 'gradients',
  drawing: 'drawings',
} as const;

const once = ({ color, place }: BilledColor) =>
  `<li>${painted([color])}<span><code>${e(color)}</code><br>${placeText(place)}</span></li>`;

/** The bill of some sheets as a page that can be printed; no script, nothing fetched. */
export function writeBillPage(title: string, bill: Bill): string {
  const { twins, failing, measured } = bill;
  const twinCount = twins.reduce((sum, group) => sum + group.twins.length, 0);
  const sum = (n: number, words: string) => `<li><b>${n.toLocaleString('en-GB')}</b>${words}</li>`;
  const uses = Object.entries(bill.uses).map(
    ([use, { colors, written }]) =>
      `${USE_NAMES[use as keyof typeof USE_NAMES]}: ${colors} in ${written} ${written === 1 ? 'place' : 'places'}`,
  );
  return `<!doctype html>
<html lang="en">
<head>
  <meta charset="utf-8">
  <meta name="viewport" content="width=device-width, initial-scale=1">
  <title>${e(title)}: the bill</title>
  <style>${STYLE}</style>
</head>
<body>
<main>
  <h1>${e(title)}: the bill</h1>
  <p class="quiet">${bill.files.slice(0, 12).map(e).join(', ')}${bill.files.length > 12 ? ` and ${bill.files.length - 12} more` : ''}</p>
  <ul class="sums">${sum(bill.colors, 'colours, opacity aside')}${sum(bill.written, 'times written')}${sum(twinCount, 'that nobody tells from another')}${sum(bill.once.length, 'written once')}${sum(failing.length, `of ${measured} pairs in themes below ${ASKED}`)}</ul>
  ${uses.length ? `<p>Written out in rules, by use: ${uses.join('; ')}.</p>` : ''}
  <section>
    <h2>Pairs that fail</h2>
    ${
      failing.length
        ? `<table><thead><tr><th>As it looks</th><th>Text on ground</th><th>Theme</th><th>Contrast</th></tr></thead><tbody>${failing
            .slice(0, MOST)
            .map(
              ({ text, ground, theme, colors, ratio }) =>
                `<tr><td><span class="words" style="color:${e(colors[0])};background:${e(colors[1])}">Text on ground</span></td><td>${e(text)} on ${e(ground)}<br><code>${e(colors[0])} on ${e(colors[1])}</code></td><td>${e(theme)}</td><td><b>${formatRatio(ratio)}</b></td></tr>`,
            )
            .join('')}</tbody></table>${more(failing.length)}`
        : `<p>${measured ? `All ${measured} reach ${ASKED}.` : 'No rule sets a text and its ground.'}</p>`
    }
  </section>
  <section>
    <h2>Near-twins</h2>
    ${
      twins.length
        ? `<p class="quiet">Within ΔE OK 0.02 of the first, which is written most.</p><table><tbody>${twins
            .slice(0, MOST)
            .map(
              ({ lead, twins: others }) =>
                `<tr><td style="width:14rem">${painted([lead, ...others].map(({ color }) => color))}</td><td>${[lead, ...others].map(({ color, count }) => `<code>${e(color)}</code> <span class="quiet">${times(count)}</span>`).join(', ')}</td></tr>`,
            )
            .join('')}</tbody></table>${more(twins.length)}`
        : '<p>None: every colour can be told from every other.</p>'
    }
  </section>
  <section>
    <h2>Written once</h2>
    ${bill.once.length ? `<ul class="once">${bill.once.slice(0, MOST).map(once).join('')}</ul>${more(bill.once.length)}` : '<p>None.</p>'}
  </section>
</main>
</body>
</html>
`;
}
