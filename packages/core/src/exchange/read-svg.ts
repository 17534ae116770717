import { SaxesParser, type SaxesTagPlain } from 'saxes';
import type { SvgElement } from './svg-element.ts';

/** Gradients of a file that are read, and stops of one; what lies beyond is left out. */
const MOST_GRADIENTS = 20_000;
const MOST_STOPS = 1000;

export type SvgRead =
  | { readonly ok: true; readonly svg: SvgElement }
  /** `reason`: what is wrong and where, in words. */
  | { readonly ok: false; readonly reason: string };

type Attributes = Readonly<Record<string, string>>;

interface Open {
  readonly name: string;
  /** What `currentColor` is in it, as far as attributes and styles of it and those around it say. */
  readonly color: string | null;
}

const withoutPrefix = (name: string) => name.slice(name.indexOf(':') + 1);

/** What an element says `currentColor` is; null where it leaves that to those around it. */
function colorIn({ style, color }: Attributes): string | null {
  const said = (/(?:^|;)\s*color\s*:\s*([^;]{1,200})/.exec(style ?? '')?.[1]?.trim() ?? color) || null;
  return said === 'inherit' ? null : said;
}

/** Entities that a document type declares and that are plain texts, as drawing programs shorten addresses with. */
function entitiesIn(doctype: string): Record<string, string> {
  const found: Record<string, string> = {};
  for (const [, name, double, single] of doctype.matchAll(
    /<!ENTITY\s+([\w.-]{1,100})\s+(?:"([^"&%]{0,1000})"|'([^'&%]{0,1000})')\s*>/g,
  ))
    found[name!] = double ?? single ?? '';
  return found;
}

/** The position of a fault as the parser words it: "3:12: unclosed tag: stop". */
const FAULT = /^(\d+):(\d+): (.*)$/s;

/**
 * The gradients of an SVG file, or of a piece of one, with its styles, beneath its root. Costs time in proportion to the
 * length of the text only: entities that stand for others are not followed, and nothing of it is shown or run.
 */
export function readSvg(text: string): SvgRead {
  const isWhole = /<(?:[\w-]+:)?svg[\s>]/.test(text);
  const whole = isWhole ? text.trim() : `<svg xmlns:xlink="http://www.w3.org/1999/xlink">\n${text}</svg>`;
  const parser = new SaxesParser();
  const children: SvgElement[] = [];
  const open: Open[] = [];
  let root: { readonly name: string; readonly attributes: Attributes } | null = null;
  let gradients = 0;
  let stops: SvgElement[] | null = null;
  let css: string | null = null;
  let closed = '';
  parser.on('error', (fault) => {
    throw fault;
  });
  parser.on('doctype', (doctype) => Object.assign(parser.ENTITIES, entitiesIn(doctype)));
  parser.on('opentag', ({ name: full, attributes }: SaxesTagPlain) => {
    const name = withoutPrefix(full);
    root ??= { name, attributes };
    const color = colorIn(attributes) ?? open.at(-1)?.color ?? null;
    if (name === 'stop' && stops && open.at(-1)?.name.endsWith('Gradient') && stops.length < MOST_STOPS)
      stops.push({ name, attributes, children: [] });
    if ((name === 'linearGradient' || name === 'radialGradient') && gradients < MOST_GRADIENTS) {
      gradients += 1;
      stops = [];
      children.push({ name, attributes: color ? { ...attributes, color } : attributes, children: stops });
    }
    if (name === 'style') css = '';
    open.push({ name, color });
  });
  const onText = (part: string) => {
    if (css !== null) css += part;
  };
  parser.on('text', onText);
  parser.on('cdata', onText);
  parser.on('closetag', () => {
    const { name } = open.pop()!;
    closed = name;
    if (name.endsWith('Gradient')) stops = null;
    if (name !== 'style' || css === null) return;
    children.push({ name, attributes: {}, children: [], text: css });
    css = null;
  });
  try {
    parser.write(whole).close();
  } catch (error) {
    return { ok: false, reason: faultIn(error, isWhole ? 0 : 1, closed) };
  }
  const { name, attributes } = root!;
  return { ok: true, svg: { name, attributes, children } };
}

/**
 * Why a text is no SVG, with its place; `before` are lines that were put in front of it, `closed` is the element
 * that ended last.
 */
function faultIn(error: unknown, before: number, closed: string): string {
  const [, line, column, what] = FAULT.exec(error instanceof Error ? error.message : '') ?? [];
  if (!what) return 'This is no well-formed SVG: it breaks off, or a tag is not closed.';
  // The parser ends what is open before it complains about the end of something else.
  const said = what.startsWith('unexpected close tag') ? `<${closed}> is not closed` : what;
  const short = said.length > 120 ? `${said.slice(0, 120)} …` : said;
  return `This is no well-formed SVG: ${short.replace(/\.$/, '')} (line ${Number(line) - before}, character ${column}).`;
}
