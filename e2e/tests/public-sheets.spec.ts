import type { PageState } from '@mint-lamp/core/cascade/page';
import { applyCommand } from '@mint-lamp/core/document/commands/apply';
import { emptyDocument } from '@mint-lamp/core/document/document';
import { writeCss } from '@mint-lamp/core/exchange/css';
import { cssNames } from '@mint-lamp/core/exchange/css-names';
import { moveSheets } from '@mint-lamp/core/moving/move-sheets';
import { movementOf } from '@mint-lamp/core/moving/pair-ratios';
import { adoptSheet, wholeOf } from '@mint-lamp/core/sheet/adopt';
import { joinedSheets } from '@mint-lamp/core/sheet/sheet-files';
import { NOT_VISIBLY, readSheet, type SheetSystem } from '@mint-lamp/core/sheet/sheet-system';
import { paint } from '@mint-lamp/core/system/painted';
import { resolveSystem } from '@mint-lamp/core/system/resolve';
import { type Browser, expect, type Page, test } from '@playwright/test';
import { PUBLIC_NAMES, publicSheet } from '../support/public-sheets.ts';

/** A sheet taken whole into an empty project. */
function taken(name: string, farthest = 0) {
  const files = publicSheet(name);
  const system = readSheet(joinedSheets(files).text, farthest)!;
  const empty = emptyDocument('Moved', [{ id: 'none', name: 'None' }]);
  let ids = 0;
  const adoption = adoptSheet(empty, system, wholeOf(system), () => `n${++ids}`)!;
  const result = applyCommand(empty, adoption.command);
  if (!result.ok) throw new Error(result.reason);
  return { files, system, adoption, document: result.document };
}

/** What custom properties are called in the system that they were taken into. */
function newNamesOf({ system, adoption, document }: ReturnType<typeof taken>): Map<string, string> {
  const names = cssNames(document);
  const found = new Map<string, string>();
  for (const [property, id] of adoption.roles) found.set(property, names.role(id));
  for (const [property, { family, shade }] of adoption.shades)
    found.set(property, names.shade(family, shade));
  expect(system.families.length + system.roles.length).toBeGreaterThan(0);
  return found;
}

async function pageWith(browser: Browser, css: readonly string[], { device }: Pick<PageState, 'device'>) {
  const context = await browser.newContext({ colorScheme: device.scheme, contrast: device.contrast });
  const page = await context.newPage();
  // A tool of the compiler, which the page does not have.
  await page.addInitScript('globalThis.__name = (one) => one');
  await page.goto('about:blank');
  for (const content of css) await page.addStyleTag({ content });
  return { page, close: () => context.close() };
}

/** What a browser paints of colours on an sRGB screen: four bytes of each, as it fills an area with it. */
const painted = (page: Page, colors: readonly string[]): Promise<string[]> =>
  page.evaluate((all) => {
    const canvas = document.createElement('canvas');
    canvas.width = canvas.height = 1;
    const pen = canvas.getContext('2d', { willReadFrequently: true })!;
    const probe = document.body.appendChild(document.createElement('p'));
    return all.map((color) => {
      // Opaque, since what is filled is kept multiplied by its opacity.
      probe.style.color = `color(from ${color} srgb r g b / 1)`;
      pen.fillStyle = getComputedStyle(probe).color;
      pen.fillRect(0, 0, 1, 1);
      const [r, g, b] = pen.getImageData(0, 0, 1, 1).data;
      probe.style.color = `color(from ${color} srgb 0 0 0 / alpha)`;
      const alpha = Number(/\/ ([\d.]+)\)$/.exec(getComputedStyle(probe).color)?.[1] ?? 1);
      return [r, g, b, Math.round(alpha * 255)].join(' ');
    });
  }, colors);

/** What Chromium makes of every custom property that is a fixed colour, on a page with marks. */
const colorsIn = (page: Page, marks: PageState['marks']): Promise<[string, string][]> =>
  page.evaluate((all) => {
    const root = document.documentElement;
    for (const mark of all)
      if (mark.kind === 'class') root.classList.add(mark.value);
      else root.setAttribute(mark.name, mark.value);
    const names = new Set<string>();
    const gather = (rules: CSSRuleList) => {
      for (const rule of rules) {
        if ('style' in rule)
          for (const name of rule.style as CSSStyleDeclaration) if (name.startsWith('--')) names.add(name);
        if ('cssRules' in rule) gather(rule.cssRules as CSSRuleList);
      }
    };
    for (const sheet of document.styleSheets) gather(sheet.cssRules);
    const probe = document.body.appendChild(document.createElement('p'));
    const style = getComputedStyle(document.body);
    return [...names].flatMap((name): [string, string][] => {
      const value = style.getPropertyValue(name).trim();
      // What is of the text around, or of the system, is no fixed colour.
      const unfixed =
        /currentcolor|canvas|text$|accentcolor|highlight|^(?:inherit|initial|unset|revert)/i.test(value);
      if (!value || unfixed || !CSS.supports('color', value)) return [];
      probe.style.color = `var(${name})`;
      return [[name, getComputedStyle(probe).color]];
    });
  }, marks);

/** How many values every sheet has at least, in all its themes: fewer means that something was not looked at. */
const LEAST: Readonly<Record<string, number>> = {
  buttons: 150,
  helpers: 800,
  properties: 300,
  channels: 800,
  themes: 480,
  layers: 1000,
};

for (const name of PUBLIC_NAMES)
  test(`every colour of the public sheet "${name}" is the same in the system, in every theme`, async ({
    browser,
  }) => {
    const moved = taken(name);
    const css = writeCss(resolveSystem(moved.document));
    const names = newNamesOf(moved);
    const themeNames = cssNames(moved.document);
    const original = moved.files.map(({ text }) => text);
    let count = 0;
    for (const { key, state } of moved.system.themes) {
      const there = await pageWith(browser, original, state);
      const wanted = await colorsIn(there.page, state.marks);
      await there.close();
      const here = await pageWith(browser, [css], state);
      const slug = themeNames.theme(moved.adoption.themes.get(key)!);
      const got = await here.page.evaluate(
        ([theme, properties]) => {
          document.documentElement.dataset.theme = theme;
          const probe = document.body.appendChild(document.createElement('p'));
          return properties.map((property) => {
            probe.style.color = '';
            probe.style.color = `var(${property}, initial)`;
            return getComputedStyle(probe).color;
          });
        },
        [slug, wanted.map(([property]) => names.get(property) ?? '--nowhere')] as const,
      );
      const was = await painted(
        here.page,
        wanted.map(([, color]) => color),
      );
      const is = await painted(here.page, got);
      await here.close();
      const differing = wanted.flatMap(([property, color], i) => {
        const own = names.get(property);
        return own !== undefined && was[i] === is[i] ? [] : [`${property}: ${color}, ${got[i]}`];
      });
      expect(differing, `in ${key || 'the usual theme'}`).toEqual([]);
      count += wanted.length;
    }
    expect(count).toBeGreaterThanOrEqual(LEAST[name] ?? 1);
  });

/** What colours come to where some gave way to others, and how far the furthest moved. */
function furthestMoved(exact: SheetSystem, moved: ReturnType<typeof taken>): number {
  const before = taken0(exact);
  const [was, is] = [resolveSystem(before.document), resolveSystem(moved.document)];
  let furthest = 0;
  for (const [property, id] of before.adoption.roles)
    for (const [key, theme] of before.adoption.themes) {
      const a = was.themes.get(theme)!.roles.get(id)?.color;
      const own = moved.adoption.roles.get(property);
      const other = moved.adoption.themes.get(key);
      const b = own && other ? is.themes.get(other)!.roles.get(own)?.color : null;
      if (!a || !b) continue;
      furthest = Math.max(furthest, distance(a.css, b.css));
    }
  return furthest;
}

function taken0(system: SheetSystem) {
  const empty = emptyDocument('Moved', [{ id: 'none', name: 'None' }]);
  let ids = 0;
  const adoption = adoptSheet(empty, system, wholeOf(system), () => `n${++ids}`)!;
  const result = applyCommand(empty, adoption.command);
  if (!result.ok) throw new Error(result.reason);
  return { adoption, document: result.document };
}

/** ΔE OK by the definition, apart from the product's own. */
function distance(a: string, b: string): number {
  const lab = (css: string) => {
    const linear = (v: number) => (v <= 0.04045 ? v / 12.92 : ((v + 0.055) / 1.055) ** 2.4);
    const painted = paint(css);
    const [r, g, bl] = [painted.r, painted.g, painted.b].map((v) => linear(v / 255)) as [
      number,
      number,
      number,
    ];
    const l = Math.cbrt(0.4122214708 * r + 0.5363325363 * g + 0.0514459929 * bl);
    const m = Math.cbrt(0.2119034982 * r + 0.6806995451 * g + 0.1073969566 * bl);
    const s = Math.cbrt(0.0883024619 * r + 0.2817188376 * g + 0.6299787005 * bl);
    return [
      0.2104542553 * l + 0.793617785 * m - 0.0040720468 * s,
      1.9779984951 * l - 2.428592205 * m + 0.4505937099 * s,
      0.0259040371 * l + 0.7827717662 * m - 0.808675766 * s,
    ];
  };
  const [p, q] = [lab(a), lab(b)];
  return Math.hypot(p[0]! - q[0]!, p[1]! - q[1]!, p[2]! - q[2]!);
}

test('where colours may move, not visibly, none does by more; what is said to be saved is saved', () => {
  let saved = 0;
  for (const name of PUBLIC_NAMES) {
    const exact = readSheet(joinedSheets(publicSheet(name)).text)!;
    const moved = taken(name, NOT_VISIBLY);
    const told = movementOf(moved.system);
    expect(furthestMoved(exact, moved), name).toBeLessThanOrEqual(NOT_VISIBLY + 1e-6);
    expect(told.furthest, name).toBeLessThanOrEqual(NOT_VISIBLY);
    expect(told.moved + told.left, name).toBe(exact.colors);
    // Each colour that is left is one of the sheet's own, and there are as many as is said.
    const left = new Set(
      moved.system.families.flatMap(({ snapped }) => snapped.map(({ color, into }) => into ?? color)),
    );
    const gone = moved.system.families.flatMap(({ snapped }) =>
      snapped.filter(({ distance }) => distance > 0),
    );
    expect(gone.length, name).toBe(told.moved);
    for (const { color } of gone) expect(left.has(color), `${name}: ${color}`).toBe(false);
    saved += told.moved;
  }
  expect(saved).toBeGreaterThan(100);
});

const KINDS = ['primary', 'secondary', 'success', 'danger', 'warning', 'info', 'light', 'dark'];
const PLAIN = `<main class="markdown-body container"><h1>Timetable</h1><h2>Hallin</h2>
<p>The <a href="#">first crossing</a> leaves at <mark>06:10</mark>, <code>K2</code> <kbd>k</kbd> <del>late</del> <ins>on time</ins></p>
<blockquote>Hold on to your hat.</blockquote><pre>Grey Holm</pre>
<table><thead><tr><th>From<th>To</thead><tbody><tr><td>Hallin<td>Oster Skerry<tr><td>Grey Holm<td>Hallin</tbody></table>
<form><label>Name <input value="Ida"></label><select><option>One way</select><input type="checkbox" checked><input type="submit" value="Reserve"><button>Go</button><button disabled>Gone</button><textarea>Bicycle</textarea><progress value=".4"></progress></form>
<details open><summary>On board</summary>Soup</details><hr></main>`;

/** Pages in the markup of their sheets, with what they wear for each of their themes. */
const PAGES: readonly {
  readonly name: string;
  readonly marks: readonly string[];
  readonly markup: string;
}[] = [
  {
    name: 'buttons',
    marks: ['', 'data-bs-theme="dark"'],
    markup: `<div class="container p-3"><nav class="navbar bg-body-tertiary"><a class="navbar-brand" href="#">Ferry</a></nav><h1>Timetable</h1><p class="text-muted">On <a href="#">time</a></p>
${KINDS.map((kind) => `<button class="btn btn-${kind}">${kind}</button><button class="btn btn-outline-${kind}">${kind}</button><div class="alert alert-${kind}">${kind}</div><span class="badge text-bg-${kind}">1</span>`).join('')}
<div class="card"><div class="card-header">Deck</div><div class="card-body">Soup</div></div><ul class="list-group"><li class="list-group-item active">a<li class="list-group-item">b</ul>
<table class="table table-striped"><tr><td>1<td>2<tr class="table-danger"><td>1<td>3</table><input class="form-control" value="1"><input type="checkbox" class="form-check-input" checked>
<div class="card" data-bs-theme="dark"><div class="card-body">Night <button class="btn btn-primary">b</button></div></div><ul class="pagination"><li class="page-item active"><a class="page-link">1</a></ul></div>`,
  },
  {
    name: 'helpers',
    marks: ['', 'data-theme="dark"'],
    markup: `<section class="section"><h1 class="title">Timetable</h1>${['primary', 'link', 'info', 'success', 'warning', 'danger', 'dark', 'light', 'white', 'black'].map((kind) => `<button class="button is-${kind}">${kind}</button><button class="button is-${kind} is-light">${kind}</button><button class="button is-${kind} is-outlined">x</button><span class="tag is-${kind}">t</span>`).join('')}
<div class="notification is-danger">Fog</div><div class="message is-info"><div class="message-header">Deck</div><div class="message-body">Soup</div></div><table class="table is-striped"><tr><th>1<td>2<tr><td>1<td>3</table><progress class="progress is-success" value="40" max="100"></progress><input class="input" value="1"><nav class="panel"><p class="panel-heading">Piers</p><a class="panel-block is-active">Hallin</a></nav></section>`,
  },
  { name: 'plain', marks: [''], markup: PLAIN },
  { name: 'semantic', marks: ['', 'class="-dark-theme"'], markup: PLAIN },
  { name: 'document', marks: [''], markup: PLAIN },
  { name: 'simple', marks: [''], markup: PLAIN },
  {
    name: 'material',
    marks: ['', 'class="dark"'],
    markup: `<main class="responsive"><article class="primary-container"><h5>Timetable</h5><button>Reserve</button><button class="secondary">More</button><button class="border">Less</button></article><article class="border"><p class="error-text">Fog</p><a class="link">On time</a></article><div class="field border label"><input value="1"><label>Pier</label></div><a class="chip fill">x</a><table class="stripes"><tr><td>1<td>2<tr><td>1<td>2</table><progress value="40" max="100"></progress></main>`,
  },
];

for (const { name, marks, markup } of PAGES)
  test(`the rewritten public sheet "${name}" paints a page of its own markup the same to the pixel`, async ({
    browser,
  }) => {
    const { files, system, adoption, document } = taken(name);
    const moved = moveSheets(files, document, system, adoption);
    const all = moved.files.map(({ text }) => text);
    expect(moved.replacements.filter(({ count }) => count).length).toBeGreaterThan(5);
    for (const scheme of ['light', 'dark'] as const) {
      const context = await browser.newContext({
        colorScheme: scheme,
        viewport: { width: 900, height: 1200 },
      });
      const page = await context.newPage();
      const shot = async (css: readonly string[], mark: string) => {
        const styles = css.map((one) => `<style>${one.replaceAll('</style', '')}</style>`).join('');
        await page.setContent(
          `<!doctype html><html ${mark}><head>${styles}<style>*{animation:none!important;transition:none!important;caret-color:transparent!important}</style></head><body>${markup}</body></html>`,
        );
        return page.screenshot();
      };
      for (const mark of marks) {
        const before = await shot(
          files.map(({ text }) => text),
          mark,
        );
        const after = await shot([moved.colors.text, ...all], mark);
        expect(after.equals(before), `${scheme} ${mark}`).toBe(true);
        // They do need the colours: without them the page is another.
        expect((await shot(all, mark)).equals(before)).toBe(false);
      }
      await context.close();
    }
  });
