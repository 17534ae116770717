import { SaxesParser, type SaxesTagPlain } from 'saxes';
import { cleanDeclarations, cleanSheet, isCleanValue, OUTSIDE, type Removed } from './clean-style.ts';
import { escapeMarkup } from './escape-markup.ts';
import { UseWeights } from './use-weights.ts';

/** Characters of a drawing, cleaned, and of the file that it comes from. */
const MOST_SVG = 200_000;
const MOST_SVG_FILE = 20_000_000;
/** Elements in elements. */
const DEEPEST = 200;

export type SvgCleaned =
  | {
      readonly ok: true;
      readonly svg: string;
      /** What was left out since it would run, fetch or show something else, in words. */
      readonly removed: readonly string[];
    }
  /** `reason`: what is wrong and where, in words. */
  | { readonly ok: false; readonly reason: string };

const words = (text: string) => new Set(text.split(' '));

const ELEMENTS = words(
  'svg g defs symbol use switch path rect circle ellipse line polyline polygon text tspan textPath linearGradient radialGradient stop pattern clipPath mask marker style image filter feBlend feColorMatrix feComponentTransfer feComposite feConvolveMatrix feDiffuseLighting feDisplacementMap feDistantLight feDropShadow feFlood feFuncA feFuncB feFuncG feFuncR feGaussianBlur feMerge feMergeNode feMorphology feOffset fePointLight feSpecularLighting feSpotLight feTile feTurbulence',
);

/** Elements that are left out with all that is in them, and what is said of it. */
const DANGEROUS: Readonly<Record<string, string>> = {
  script: 'scripts',
  handler: 'scripts',
  listener: 'scripts',
  foreignObject: 'foreign content',
  iframe: 'foreign content',
  object: 'foreign content',
  embed: 'foreign content',
  audio: 'audio and video',
  video: 'audio and video',
  animate: 'animations',
  animateColor: 'animations',
  animateMotion: 'animations',
  animateTransform: 'animations',
  set: 'animations',
  discard: 'animations',
  feImage: OUTSIDE,
};

/** Attributes that lead elsewhere, whatever they say. */
const NEVER = words(
  'src srcset data action formaction ping target download base cursor xmlns requiredFeatures',
);
const ATTRIBUTE = /^[a-z][\w-]*$/i;
/** Pictures that a drawing brings along. */
const DATA_PICTURE = /^data:image\/(png|jpeg|gif|webp);base64,[A-Za-z0-9+/=\s]*$/;
/** What a filter may not exceed, by attribute: each of these takes long. */
const FILTER_LIMITS: Readonly<Record<string, number>> = {
  stdDeviation: 50,
  numOctaves: 6,
  order: 9,
  radius: 30,
  scale: 400,
};
const MOST_FILTER_PARTS = 40;

const withoutPrefix = (name: string) => name.slice(name.indexOf(':') + 1);

/** Entities that a document type declares and that are plain texts. */
function entitiesIn(doctype: string): Record<string, string> {
  const found: Record<string, string> = {};
  for (const [, name, double, single] of doctype.matchAll(
    /<!ENTITY\s+([\w.-]{1,100})\s+(?:"([^"&%<]{0,500})"|'([^'&%<]{0,500})')\s*>/g,
  ))
    found[name!] = double ?? single ?? '';
  return found;
}

const FAULT = /^(\d+):(\d+): (.*)$/s;

class TooMuch extends Error {}

/** Writes what of a drawing is plain shapes, colours and text. */
class Cleaning {
  readonly removed: Removed = new Set();
  readonly weights = new UseWeights();
  private readonly out: string[] = [];
  private length = 0;
  /** Names of the elements that are open in what is written. */
  private readonly open: string[] = [];
  /** How many elements are open in one that is left out. */
  private skipped = 0;
  private depth = 0;
  private style: string | null = null;
  private filterParts = 0;
  private rooted = false;

  get isSvg(): boolean {
    return this.rooted;
  }

  private write(text: string): void {
    this.length += text.length;
    if (this.length > MOST_SVG)
      throw new TooMuch(
        `Cleaned, the drawing has more than ${MOST_SVG / 1000} kB; simplify its paths, or leave out the pictures in it.`,
      );
    this.out.push(text);
  }

  private skip(word?: string): void {
    if (word) this.removed.add(word);
    this.skipped = 1;
  }

  opened(tag: SaxesTagPlain): void {
    if (++this.depth > DEEPEST)
      throw new TooMuch(`The drawing has elements in elements, more than ${DEEPEST} deep.`);
    if (this.skipped) {
      this.skipped++;
      return;
    }
    const name = tag.name.includes(':') && !tag.name.startsWith('svg:') ? '' : withoutPrefix(tag.name);
    if (!this.rooted && name !== 'svg')
      throw new TooMuch('This is no SVG drawing: it begins with no svg element.');
    if (DANGEROUS[name]) {
      this.skip(DANGEROUS[name]);
      return;
    }
    // A link around shapes: the shapes stay.
    const written = name === 'a' ? 'g' : name;
    if (!ELEMENTS.has(written)) {
      this.skip();
      return;
    }
    if (name.startsWith('fe') && ++this.filterParts > MOST_FILTER_PARTS) {
      this.skip('slow filters');
      return;
    }
    const attributes = this.attributesOf(written, tag.attributes, name === 'a');
    if (!attributes) {
      this.skip();
      return;
    }
    if (written === 'style') this.style = '';
    else {
      this.weights.opened(attributes);
      this.write(`<${written}${this.isRoot(attributes)}>`);
    }
    this.rooted = true;
    this.open.push(written);
  }

  /** The attributes as they are written; the root says what is else understood: its size, and that shapes are black. */
  private isRoot(attributes: Map<string, string>): string {
    if (!this.rooted) {
      const [width, height] = ['width', 'height'].map((name) =>
        Number.parseFloat(attributes.get(name) ?? ''),
      );
      if (!attributes.has('viewBox') && width! > 0 && height! > 0)
        attributes.set('viewBox', `0 0 ${width} ${height}`);
      const style = attributes.get('style') ?? '';
      for (const name of ['fill', 'color'])
        if (!attributes.has(name) && !new RegExp(`(?:^|;)${name}:`).test(style))
          attributes.set(name, '#000000');
      return ` xmlns="http://www.w3.org/2000/svg"${written(attributes)}`;
    }
    return written(attributes);
  }

  /** What of the attributes of an element stays; null where it is nothing without what was taken from it. */
  private attributesOf(
    element: string,
    attributes: Readonly<Record<string, string>>,
    isLink: boolean,
  ): Map<string, string> | null {
    const kept = new Map<string, string>();
    for (const [full, value] of Object.entries(attributes)) {
      const name = full === 'xlink:href' ? 'href' : full;
      if (/^on/i.test(name)) this.removed.add('event handlers');
      else if (name === 'xml:base' || name === 'base') this.removed.add(OUTSIDE);
      else if (name === 'href') {
        if (isLink) this.removed.add('links');
        else if (value.startsWith('#')) kept.set(name, value);
        else if (element === 'image' && DATA_PICTURE.test(value)) kept.set(name, value.replace(/\s/g, ''));
        else {
          this.removed.add(/^\s*(java|vb)script:/i.test(value) ? 'scripts' : OUTSIDE);
          if (element === 'use' || element === 'image' || element === 'textPath') return null;
        }
      } else if (!ATTRIBUTE.test(name) || NEVER.has(name) || name.startsWith('data-')) continue;
      else if (name === 'style') {
        const style = cleanDeclarations(value, this.removed);
        if (style) kept.set(name, style);
      } else if (
        element.startsWith('fe') &&
        Number.parseFloat(value) > (FILTER_LIMITS[name] ?? Number.POSITIVE_INFINITY)
      ) {
        this.removed.add('slow filters');
        return null;
      } else if (isCleanValue(value, this.removed)) kept.set(name, value);
    }
    return element === 'image' && !kept.has('href') ? null : kept;
  }

  text(text: string): void {
    if (this.skipped) return;
    if (this.style !== null) this.style += text;
    else if (this.open.some((name) => name === 'text') && text) this.write(escapeMarkup(text));
  }

  closed(): void {
    this.depth--;
    if (this.skipped) {
      this.skipped--;
      return;
    }
    const name = this.open.pop();
    if (this.style !== null) {
      const css = cleanSheet(this.style, this.removed);
      if (css) this.write(`<style>${escapeMarkup(css)}</style>`);
      this.style = null;
      return;
    }
    this.weights.closed();
    this.write(`</${name}>`);
  }

  get svg(): string {
    return this.out.join('');
  }
}

const written = (attributes: ReadonlyMap<string, string>) =>
  [...attributes].map(([name, value]) => ` ${name}="${escapeMarkup(value)}"`).join('');

/**
 * An SVG drawing without anything that runs, fetches or shows something else: scripts, events, links, animations, foreign
 * content, outside references, fonts. What is left is written anew, so that cleaning it again changes nothing; shapes look
 * as they did. Costs time in proportion to the length of the text: entities are not followed into each other, and drawings
 * that multiply themselves by `use` are refused.
 */
export function cleanSvg(text: string): SvgCleaned {
  if (text.length > MOST_SVG_FILE)
    return {
      ok: false,
      reason: `The file has ${(text.length / 1e6).toFixed(1)} MB; at most ${MOST_SVG_FILE / 1e6} are read.`,
    };
  const parser = new SaxesParser();
  const cleaning = new Cleaning();
  parser.on('error', (fault) => {
    throw fault;
  });
  parser.on('doctype', (doctype) => Object.assign(parser.ENTITIES, entitiesIn(doctype)));
  parser.on('opentag', (tag) => cleaning.opened(tag as SaxesTagPlain));
  parser.on('text', (part) => cleaning.text(part));
  parser.on('cdata', (part) => cleaning.text(part));
  parser.on('closetag', () => cleaning.closed());
  try {
    parser.write(text.replace(/^\uFEFF/, '').trimStart()).close();
  } catch (error) {
    if (error instanceof TooMuch) return { ok: false, reason: error.message };
    const [, line, column, said] = FAULT.exec((error as Error).message) ?? [];
    return {
      ok: false,
      reason: line
        ? `This is no sound SVG: line ${line}, column ${column}: ${said!.replace(/\.$/, '')}.`
        : 'This is no sound SVG.',
    };
  }
  if (!cleaning.isSvg) return { ok: false, reason: 'There is no svg element in it.' };
  const tooMany = cleaning.weights.fault();
  if (tooMany) return { ok: false, reason: tooMany };
  return { ok: true, svg: cleaning.svg, removed: [...cleaning.removed].sort() };
}
