import type { SceneUse } from '../../document/scenes/scene-uses.ts';
import { escapeMarkup } from '../../svg/escape-markup.ts';
import { isImage } from '../../system/scenes/is-image.ts';
import type { ClientView, ShownTheme } from './client-view.ts';

/** The style of the scenes on a client's page; what paints them stands on their root. */
export const SCENE_STYLE = `
  .scene { border: 1px solid #8a8a8a; border-radius: 6px; overflow: hidden; background: var(--page, #fff);
    color: var(--text, #111); font-size: 15px; line-height: 1.4; container-type: inline-size; }
  .scene .bar { display: flex; gap: 1rem; padding: .75rem 1.25rem; border-bottom: 1px solid var(--line, #ccc); }
  .scene .bar b { margin-right: auto; }
  .scene .hero { position: relative; background: var(--hero, var(--action, #345)); color: var(--hero-text, #fff); }
  .scene .hero > div { position: relative; padding: 3rem 1.25rem 1.5rem; }
  .scene .hero::before { content: ""; position: absolute; inset: 0; background: var(--hero-veil, none); }
  .scene .hero p { margin: 0 0 1rem; font-size: 1.15em; }
  .scene .hero .title { font-size: 2em; line-height: 1.1; font-weight: 700; max-width: 16em; margin: 0 0 .5rem; }
  .scene .button { display: inline-block; padding: .5rem 1.1rem; border-radius: 6px; font-weight: 700;
    background: var(--action, #345); color: var(--action-text, #fff); }
  .scene .hero .button { background: var(--accent, var(--action, #345)); color: var(--accent-text, #fff); }
  .scene .row { display: grid; grid-template-columns: repeat(auto-fit, minmax(11rem, 1fr)); gap: 1rem; padding: 1.25rem; }
  .scene .card { background: var(--raised, #fff); border: 1px solid var(--line, #ccc); border-radius: 6px; padding: .9rem; }
  .scene .card b, .scene .card span { display: block; }
  .scene .quiet { color: var(--quiet, #555); } .scene .link { color: var(--link, #345); text-decoration: underline; }
  .scene .notice { border-radius: 6px; padding: .75rem 1rem; } .scene .notice b { display: block; }
`;

const USES: readonly SceneUse[] = [
  'page',
  'text',
  'line',
  'hero',
  'hero-veil',
  'hero-text',
  'action',
  'action-text',
  'accent',
  'accent-text',
  'raised',
  'quiet',
  'link',
  'good',
  'good-text',
  'warning',
  'warning-text',
  'danger',
  'danger-text',
  'note',
  'note-text',
];

/** Letters that a gradient paints are written in the colour of the text around them. */
function style({ paints }: ShownTheme): string {
  return USES.flatMap((use) => {
    const css = paints[use];
    return css && !(use.endsWith('text') && isImage(css)) ? [`--${use}:${css}`] : [];
  }).join(';');
}

/** A page of the theme with the project's own words: a first page, and notices. */
export function pageScenes(view: ClientView, theme: ShownTheme): string {
  const say = (word: string) => escapeMarkup(view.words[word] ?? '');
  const card = (i: number) =>
    `<div class="card"><b>${say(`card${i}`)}</b><span class="quiet">${say(`cardNote${i}`)}</span><span class="link">${say('second')}</span></div>`;
  const notice = (kind: string) =>
    `<div class="notice" style="background:var(--${kind});color:var(--${kind}-text)"><b>${say(`${kind}Title`)}</b>${say(`${kind}Text`)}</div>`;
  return `<div class="scene" style="${escapeMarkup(style(theme))}">
        <div class="bar"><b>${say('name')}</b><span>${say('menu1')}</span><span>${say('menu2')}</span><span>${say('menu3')}</span></div>
        <div class="hero"><div><p class="title">${say('headline')}</p><p>${say('lead')}</p><span class="button">${say('action')}</span></div></div>
        <div class="row">${[1, 2, 3].map(card).join('')}</div>
        <div class="row">${['good', 'warning', 'danger', 'note'].map(notice).join('')}</div>
      </div>`;
}
