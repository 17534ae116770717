import type { ChoicesOf } from '../../document/delivery/forms.ts';
import type { ReportedPair } from '../../judged/readout/report.ts';
import { escapeMarkup } from '../../svg/escape-markup.ts';
import type { ClientView, ShownColor, ShownRole, ShownTheme } from './client-view.ts';
import { pageScenes, SCENE_STYLE } from './page-scenes.ts';

const STYLE = `
  :root { color-scheme: light dark; --ink: #161616; --quiet: #4c4c4c; --ground: #fff; --hair: #c8c8c8; }
  @media (prefers-color-scheme: dark) { :root { --ink: #f0f0f0; --quiet: #bdbdbd; --ground: #161616; --hair: #4c4c4c; } }
  * { box-sizing: border-box; }
  body { margin: 0; background: var(--ground); color: var(--ink); font: 16px/1.5 system-ui, sans-serif; overflow-wrap: anywhere; }
  main { max-width: 62rem; margin: 0 auto; padding: 2rem 1.25rem 4rem; }
  h1 { font-size: 2rem; line-height: 1.15; margin: 0 0 .25rem; } h2 { font-size: 1.4rem; margin: 2.5rem 0 .75rem; }
  h3 { font-size: 1.05rem; margin: 1.25rem 0 .5rem; } p { margin: 0 0 .75rem; } .quiet { color: var(--quiet); }
  ul { list-style: none; margin: 0; padding: 0; }
  .ask { display: flex; gap: .5rem; align-items: center; margin: 1rem 0 0; min-height: 2rem; }
  .ask input { width: 1.15rem; height: 1.15rem; margin: 0; }
  .code { font: .8125em/1.4 ui-monospace, monospace; }
  body:has(#codes:not(:checked)) .code { display: none; }
  .shades { display: grid; grid-template-columns: repeat(auto-fill, minmax(6.5rem, 1fr)); gap: 2px; }
  @media (min-width: 60rem) { .shades { grid-template-columns: repeat(var(--n), minmax(0, 1fr)); } .shades li { padding: .4rem; } }
  .shades li { min-height: 4.5rem; padding: .5rem; } .shades b, .shades small, .shades .code { display: block; } .shades small, .shades .code { font-size: .75rem; line-height: 1.25; }
  .theme { border-radius: 8px; border: 1px solid var(--hair); padding: 1rem 1.25rem 1.5rem; margin: 0 0 1.5rem; print-color-adjust: exact; }
  .roles { display: grid; grid-template-columns: repeat(auto-fill, minmax(14rem, 1fr)); gap: .75rem; }
  .roles li { display: flex; gap: .75rem; align-items: flex-start; }
  .roles .chip { flex: none; width: 3rem; height: 3rem; border-radius: 6px; border: 1px solid #808080; print-color-adjust: exact; }
  .roles b, .roles small { display: block; } small { font-size: .875em; }
  .gradients { display: grid; grid-template-columns: repeat(auto-fill, minmax(16rem, 1fr)); gap: 1rem; }
  .gradients .chip { height: 6rem; border-radius: 6px; border: 1px solid #808080; print-color-adjust: exact; }
  .shades li, .pair svg { print-color-adjust: exact; }
  table { border-collapse: collapse; width: 100%; font-variant-numeric: tabular-nums; }
  caption { text-align: left; padding: 0 0 .5rem; }
  th, td { text-align: left; padding: .4rem .5rem .4rem 0; border-bottom: 1px solid var(--hair); vertical-align: top; font-weight: 400; }
  td.figure, th.figure { text-align: right; padding-right: .75rem; } .fails .verdict { font-weight: 700; }
  details { margin: 1rem 0; } summary { cursor: pointer; min-height: 2rem; }
  blockquote { margin: 0 0 1rem; padding: 0 0 0 1rem; border-left: 3px solid var(--hair); }
  @media (max-width: 40rem) { .wide { display: none; } main { padding: 1.25rem 1rem 3rem; } }
  @media print { :root { --ink: #000; --quiet: #333; --ground: #fff; } main { max-width: none; padding: 0; }
    section, .theme, .roles li { break-inside: avoid-page; } .theme { break-inside: auto; } .ask { display: none; } }
${SCENE_STYLE}`;

const code = (text: string) => `<span class="code">${escapeMarkup(text)}</span>`;

const shade = ({ name, words, css, code: hex, isLight }: ShownColor) =>
  `<li style="background:${css};color:${isLight ? '#000' : '#fff'}"><b>${escapeMarkup(name)}</b><small>${words}</small>${code(hex)}</li>`;

function role({ name, about, retired, paint, color, gradient }: ShownRole): string {
  const said = color?.words ?? `the gradient ${gradient ?? ''}`;
  const lines = [
    `<small>${escapeMarkup(said)}</small>`,
    ...(about === null ? [] : [`<small>${escapeMarkup(about)}</small>`]),
    ...(retired === null
      ? []
      : [`<small>No longer used${retired ? `; instead: ${escapeMarkup(retired)}` : ''}</small>`]),
    ...(color ? [code(color.code)] : []),
  ];
  return `<li><span class="chip" style="background:${escapeMarkup(paint)}"></span><span><b>${escapeMarkup(name)}</b>${lines.join('')}</span></li>`;
}

const VERDICTS = {
  passes: 'can be read',
  fails: 'is hard to read',
  broken: 'has no colour',
  exempt: 'doesn’t need to be read',
  unmeasured: 'was not measured',
} as const;

const pair = ({
  text,
  ground,
  textColor,
  groundColor,
  ratio,
  required,
  verdict,
  size,
  target,
}: ReportedPair) => `
          <tr class="pair ${verdict}"><td>${
            textColor && groundColor
              ? `<svg aria-hidden="true" width="44" height="20"><rect width="44" height="20" rx="4" fill="${groundColor}" stroke="#808080"/><rect x="12" y="6" width="20" height="8" fill="${textColor}"/></svg>`
              : ''
          }</td><th scope="row">${escapeMarkup(text)} on ${escapeMarkup(ground)}</th><td class="wide">${escapeMarkup(target)}, ${size} px</td><td class="figure">${ratio ?? 'none'}</td><td class="figure wide">${required}</td><td class="verdict">${VERDICTS[verdict]}</td></tr>`;

const table = (caption: string, pairs: readonly ReportedPair[]) => `<table>
        <caption>${escapeMarkup(caption)}</caption>
        <thead><tr><td></td><th scope="col">Text and ground</th><th scope="col" class="wide">Asked for</th><th scope="col" class="figure">Ratio</th><th scope="col" class="figure wide">Needs</th><th scope="col">Verdict</th></tr></thead>
        <tbody>${pairs.map(pair).join('')}
        </tbody>
      </table>`;

/** The pairs of a theme: what fails is in sight, the rest a press away. */
function pairsOf({ name, pairs, passing, of }: ShownTheme): string {
  if (!pairs.length) return '';
  const isGood = ({ verdict }: ReportedPair) => verdict === 'passes' || verdict === 'exempt';
  const bad = pairs.filter((one) => !isGood(one));
  const good = pairs.filter(isGood);
  return `
      <h3>Can it be read?</h3>
      <p>${passing} of ${of} pairs of text and ground can be read, by WCAG 2.2.</p>
      ${bad.length ? table(`In ${name}, to be looked at`, bad) : ''}
      ${good.length ? `<details${bad.length ? '' : ' open'}><summary>${good.length} that need no look</summary>${table(`In ${name}`, good)}</details>` : ''}`;
}

function theme(view: ClientView, one: ShownTheme, scenes: boolean): string {
  const groups = one.groups
    .map(
      ({ name, roles }) => `
        <h3>${escapeMarkup(name || 'on their own')}</h3>
        <ul class="roles">${roles.map(role).join('')}</ul>`,
    )
    .join('');
  const gradients = one.gradients.filter(({ same }) => !same);
  return `
    <section>
      <h2>${escapeMarkup(one.name)}</h2>
      ${scenes ? pageScenes(view, one) : ''}
      <div class="theme" style="margin-top:1.25rem;background:${one.page.css};color:${one.text.css}">${groups || '<p>No role has a colour in it.</p>'}
      </div>${
        gradients.length
          ? `
      <h3>Gradients</h3>
      <ul class="gradients">${gradients.map(({ name, css }) => `<li><div class="chip" style="background:${escapeMarkup(css)}"></div><b>${escapeMarkup(name)}</b> ${code(css)}</li>`).join('')}</ul>`
          : ''
      }${pairsOf(one)}
    </section>`;
}

/** What somebody said, by lines, and below it whose it is. */
const said = (text: string, whose: string) =>
  `<p>${escapeMarkup(text).replaceAll('\n', '<br>')}</p><p class="quiet">${escapeMarkup(whose)}</p>`;

/** The notes for the client, each with what was said to it. */
function noteList(view: ClientView): string {
  const answer = ({ text, by }: { readonly text: string; readonly by: string }) => `
      <blockquote>${said(text, by ? `answered by ${by}` : 'an answer')}</blockquote>`;
  return view.notes
    .map(
      ({ on, text, by, answers }) => `
    <blockquote>${said(text, `on ${on}${by ? `, by ${by}` : ''}`)}${answers.map(answer).join('')}</blockquote>`,
    )
    .join('');
}

/**
 * The system as one page for people: names and pictures first, codes on request; no script, nothing fetched. It is read on
 * a phone and on paper, in light and dark.
 */
export function writeClientPage(view: ClientView, { codes, scenes, notes }: ChoicesOf<'page'>): string {
  const { project, day, families, themes, passing, of } = view;
  const ask =
    codes === 'none'
      ? ''
      : `<label class="ask"><input type="checkbox" id="codes"${codes === 'shown' ? ' checked' : ''}> Show codes</label>`;
  return `<!doctype html>
<html lang="en">
<head>
  <meta charset="utf-8">
  <meta name="viewport" content="width=device-width, initial-scale=1">
  <title>${escapeMarkup(project)}: colours</title>
  <style>${codes === 'none' ? `${STYLE}\n  .code { display: none; }` : STYLE}</style>
</head>
<body>
<main>
  <header>
    <h1>${escapeMarkup(project)}</h1>
    <p class="quiet">Colours, as of ${day}${view.revision === null ? '' : ` (revision ${view.revision})`}. ${of ? `${passing} of ${of} measurements of contrast pass.` : ''}</p>
    ${ask}
  </header>${
    families.length
      ? `
  <section>
    <h2>Families</h2>${families
      .map(
        ({ name, shades }) => `
    <h3>${escapeMarkup(name)}</h3>
    <ul class="shades" style="--n:${Math.ceil(shades.length / Math.ceil(shades.length / 12))}">${shades.map(shade).join('')}</ul>`,
      )
      .join('')}
  </section>`
      : ''
  }${themes.map((one) => theme(view, one, scenes)).join('')}${
    notes && view.notes.length
      ? `
  <section>
    <h2>Notes</h2>${noteList(view)}
  </section>`
      : ''
  }
</main>
</body>
</html>
`;
}
