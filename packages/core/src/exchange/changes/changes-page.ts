import { escapeMarkup } from '../../svg/escape-markup.ts';
import type { ChangedValue, ChangesSince } from './changes-since.ts';

const STYLE = `
  :root { color-scheme: light dark; --ink: #161616; --ground: #fff; --hair: #c8c8c8; }
  @media (prefers-color-scheme: dark) { :root { --ink: #f0f0f0; --ground: #161616; --hair: #4c4c4c; } }
  body { margin: 0; background: var(--ground); color: var(--ink); font: 16px/1.5 system-ui, sans-serif; overflow-wrap: anywhere; }
  main { max-width: 54rem; margin: 0 auto; padding: 2rem 1.25rem 4rem; }
  h1 { font-size: 1.75rem; line-height: 1.2; } h2 { font-size: 1.25rem; margin: 2rem 0 .5rem; }
  ul { list-style: none; margin: 0; padding: 0; display: grid; gap: .5rem; }
  .value { display: flex; flex-wrap: wrap; gap: .25rem .75rem; align-items: center; }
  .sides { display: flex; flex: none; width: 9rem; height: 2.5rem; border: 1px solid #808080; border-radius: 6px; overflow: hidden; print-color-adjust: exact; }
  .sides span { flex: 1; }
  small { font-size: .875em; }
  @media print { :root { --ink: #000; --ground: #fff; } li { break-inside: avoid; } }
`;

const side = (css: string | null) =>
  css === null ? '<span></span>' : `<span style="background:${escapeMarkup(css)}"></span>`;

const value = ({ name, was, is, theme }: ChangedValue) =>
  `<li class="value"><span class="sides" role="img" aria-label="before and after">${side(was)}${side(is)}</span><span><b>${escapeMarkup(name)}</b>${theme === null ? '' : ` <small>in ${escapeMarkup(theme)}</small>`}${was === null ? ' <small>is new</small>' : is === null ? ' <small>has no colour now</small>' : ''}</span></li>`;

const section = (title: string, items: readonly string[]) =>
  items.length ? `\n  <section>\n    <h2>${title}</h2>\n    <ul>${items.join('\n')}</ul>\n  </section>` : '';

/** What changed, as a page for people: colours before and after side by side; no script, nothing fetched. */
export function writeChangesPage(project: string, since: string, changes: ChangesSince): string {
  const { values, ratios, renamed, removed } = changes;
  const turned = ratios.filter(({ passed, passes }) => passed !== passes);
  const title = `${escapeMarkup(project)}: what changed since ${escapeMarkup(since)}`;
  const nothing = values.length + renamed.length + removed.length + turned.length === 0;
  return `<!doctype html>
<html lang="en">
<head>
  <meta charset="utf-8">
  <meta name="viewport" content="width=device-width, initial-scale=1">
  <title>${title}</title>
  <style>${STYLE}</style>
</head>
<body>
<main>
  <h1>${title}</h1>${nothing ? '\n  <p>No colour is another than it was.</p>' : ''}${section('Colours, before and after', values.map(value))}${section(
    'Reading',
    turned.map(
      ({ pair, theme, was, is, passes }) =>
        `<li>${escapeMarkup(pair)} <small>in ${escapeMarkup(theme)}</small>: ${passes ? 'can be read now' : 'is hard to read now'} <small>(${was}, then ${is})</small></li>`,
    ),
  )}${section('Names', [
    ...renamed.map(({ from, to }) => `<li>${escapeMarkup(from)} is called ${escapeMarkup(to)} now</li>`),
    ...removed.map(({ name }) => `<li>${escapeMarkup(name)} is gone</li>`),
  ])}
</main>
</body>
</html>
`;
}
