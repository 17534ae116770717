import { type DefaultTreeAdapterTypes, parse } from 'parse5';
import { cleanDeclarations, cleanSheet, isCleanValue, OUTSIDE, type Removed } from '../svg/clean-style.ts';
import { escapeMarkup } from '../svg/escape-markup.ts';
import { MOST_PAGE } from './most-page.ts';

type Node = DefaultTreeAdapterTypes.ChildNode;
type Element = DefaultTreeAdapterTypes.Element;

/** Characters of a page and its style sheets as they come. */
const MOST_FILE = 8_000_000;
/** Elements in elements, and elements in all. */
const DEEPEST = 250;
const MOST_ELEMENTS = 8000;

export type PageCleaned =
  | {
      readonly ok: true;
      readonly html: string;
      /** What was left out, in words. */
      readonly removed: readonly string[];
      /** Style sheets that it asks for and that were not given, by their addresses. */
      readonly missing: readonly string[];
    }
  | { readonly ok: false; readonly reason: string };

const words = (text: string) => new Set(text.split(' '));

/** Elements that are left out with all that is in them, and what is said of it. */
const GONE: Readonly<Record<string, string>> = {
  script: 'scripts',
  noscript: 'noscript content',
  iframe: 'frames',
  frame: 'frames',
  frameset: 'frames',
  object: 'frames',
  embed: 'frames',
  applet: 'frames',
  portal: 'frames',
  fencedframe: 'frames',
  video: 'audio and video',
  audio: 'audio and video',
  canvas: 'scripts',
  template: 'scripts',
  animate: 'animations',
  animatemotion: 'animations',
  animatetransform: 'animations',
  set: 'animations',
  foreignobject: 'foreign content',
  feimage: OUTSIDE,
  math: 'formulas',
};
/** Elements that say something of a page and show nothing of it. */
const UNSEEN = words('meta base title head source track param map area datalist dialog');
const VOID = words('br hr img input wbr col');
/** Attributes that stay, besides those of drawings. */
const KEPT = words(
  'class id role lang dir hidden disabled checked selected multiple readonly required open type placeholder value alt title width height colspan rowspan scope span rows cols size for label name start reversed viewbox d points x y x1 x2 y1 y2 cx cy r rx ry transform fill stroke opacity offset gradientunits gradienttransform preserveaspectratio clip-path mask',
);
const KEPT_BEGINNINGS = /^(aria|data|stroke|fill|stop|font|text)-[\w-]+$/;
const DATA_PICTURE = /^data:image\/(png|jpeg|gif|webp);base64,[A-Za-z0-9+/=]{0,100000}$/;
/** Drawings are XML beneath, where these names have capitals. */
const CAPITALS: Readonly<Record<string, string>> = {
  viewbox: 'viewBox',
  gradientunits: 'gradientUnits',
  gradienttransform: 'gradientTransform',
  preserveaspectratio: 'preserveAspectRatio',
};

class TooMuch extends Error {}

class Cleaning {
  readonly removed: Removed = new Set();
  readonly missing: string[] = [];
  readonly css: string[] = [];
  private readonly out: string[] = [];
  private length = 0;
  private elements = 0;

  write(text: string): void {
    this.length += text.length;
    if (this.length > MOST_PAGE)
      throw new TooMuch(`Cleaned, the page has more than ${MOST_PAGE / 1000} kB; paste a part of it.`);
    this.out.push(text);
  }

  get html(): string {
    return this.out.join('');
  }

  private attributes({ attrs, tagName }: Element): string {
    let written = '';
    for (const { name: full, value } of attrs) {
      const name = full.toLowerCase();
      if (name.startsWith('on')) this.removed.add('event handlers');
      else if (name === 'style') {
        const style = cleanDeclarations(value, this.removed);
        if (style) written += ` style="${escapeMarkup(style)}"`;
      } else if (name === 'href' && tagName === 'use' && value.startsWith('#'))
        written += ` href="${escapeMarkup(value)}"`;
      else if (name === 'src' && tagName === 'img') {
        if (DATA_PICTURE.test(value)) written += ` src="${value}"`;
        else this.removed.add('outside pictures');
      } else if (/^(src|srcset|href|action|formaction|data|poster|ping|background|xlink:href)$/.test(name)) {
        if (/^\s*(java|vb)script:/i.test(value)) this.removed.add('scripts');
        else this.removed.add(name === 'action' || name === 'formaction' ? 'form targets' : 'link targets');
      } else if ((KEPT.has(name) || KEPT_BEGINNINGS.test(name)) && isCleanValue(value, new Set()))
        written += ` ${CAPITALS[name] ?? name}="${escapeMarkup(value)}"`;
    }
    return written;
  }

  /** Begins an element; whether what is in it is gone through. */
  private begin(element: Element, depth: number): boolean {
    const name = element.tagName.toLowerCase();
    if (depth > DEEPEST) throw new TooMuch(`The page has elements in elements, more than ${DEEPEST} deep.`);
    if (++this.elements > MOST_ELEMENTS)
      throw new TooMuch(`The page has more than ${MOST_ELEMENTS} elements; paste a part of it.`);
    if (GONE[name]) {
      this.removed.add(GONE[name]);
      return false;
    }
    if (name === 'style') {
      this.css.push(textOf(element));
      return false;
    }
    if (name === 'link') {
      const of = (wanted: string) => element.attrs.find((one) => one.name === wanted)?.value ?? '';
      if (/\bstylesheet\b/i.test(of('rel'))) this.missing.push(of('href').slice(0, 300));
      return false;
    }
    if (UNSEEN.has(name)) {
      if (name === 'meta' && element.attrs.some((one) => one.name === 'http-equiv'))
        this.removed.add('redirects');
      return name === 'head' || name === 'dialog' || name === 'map';
    }
    if (!/^[a-z][a-z0-9-]*$/.test(name)) return false;
    this.write(`<${element.tagName}${this.attributes(element)}>`);
    return !VOID.has(name);
  }

  /** Writes what is in the body, without going deeper into itself than the page does. */
  body(from: Element): void {
    const open: { readonly nodes: readonly Node[]; at: number; readonly end: string }[] = [
      { nodes: from.childNodes, at: 0, end: '' },
    ];
    while (open.length) {
      const top = open[open.length - 1]!;
      const node = top.nodes[top.at++];
      if (!node) {
        this.write(top.end);
        open.pop();
      } else if ('value' in node) this.write(escapeMarkup(node.value.replace(/\s+/g, ' ')));
      else if ('tagName' in node) {
        const shown = !UNSEEN.has(node.tagName.toLowerCase());
        if (this.begin(node, open.length))
          open.push({ nodes: node.childNodes, at: 0, end: shown ? `</${node.tagName}>` : '' });
      }
    }
  }

  /** Takes the style sheets of a head, which is not written. */
  head(from: Element): void {
    for (const node of from.childNodes) if ('tagName' in node) this.begin(node, 1);
  }

  /** What the root and the body are written with, by which style sheets know them. */
  frame(element: Element | undefined): string {
    return element ? this.attributes(element) : '';
  }
}

const textOf = (element: Element): string =>
  element.childNodes.map((node) => ('value' in node ? node.value : '')).join('');

const child = (of: { readonly childNodes: readonly Node[] } | undefined, name: string): Element | undefined =>
  of?.childNodes.find((node): node is Element => 'tagName' in node && node.tagName === name);

/**
 * A page of HTML with its style sheets in one, without anything that runs, fetches, sends or leads elsewhere: scripts, frames,
 * events, addresses, fonts and pictures from outside. It is to be shown in a frame without scripts all the same. `sheets` are
 * those that it asks for, in their order.
 */
export function cleanPage(text: string, sheets: readonly string[] = []): PageCleaned {
  const size = text.length + sheets.reduce((sum, sheet) => sum + sheet.length, 0);
  if (size > MOST_FILE)
    return {
      ok: false,
      reason: `The page has ${(size / 1e6).toFixed(1)} MB; at most ${MOST_FILE / 1e6} are read.`,
    };
  if (!/<[a-z!]/i.test(text))
    return { ok: false, reason: 'There is no HTML in it: a page begins with < and a name.' };
  const cleaning = new Cleaning();
  try {
    const root = child(parse(text), 'html');
    const [head, body] = [child(root, 'head'), child(root, 'body')];
    const frames = [cleaning.frame(root), cleaning.frame(body)];
    if (head) cleaning.head(head);
    const inside = new Cleaning();
    if (body) inside.body(body);
    for (const word of inside.removed) cleaning.removed.add(word);
    const css = [...sheets, ...cleaning.css, ...inside.css].map((sheet) =>
      cleanSheet(sheet, cleaning.removed),
    );
    cleaning.write(
      `<!doctype html><html${frames[0]}><head><meta charset="utf-8"><style>${css.join('')}</style></head>`,
    );
    cleaning.write(`<body${frames[1]}>${inside.html}</body></html>`);
    const missing = [...cleaning.missing, ...inside.missing].slice(sheets.length);
    return { ok: true, html: cleaning.html, removed: [...cleaning.removed].sort(), missing };
  } catch (error) {
    if (error instanceof TooMuch) return { ok: false, reason: error.message };
    throw error;
  }
}
