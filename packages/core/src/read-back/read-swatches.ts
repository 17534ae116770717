import { SaxesParser } from 'saxes';
import { parseColor } from '../color/parse.ts';
import { canonical } from '../color/write.ts';

/** A coloured shape of a drawing, under the name that it has; null where it has none. */
export interface NamedShape {
  readonly name: string | null;
  readonly css: string;
}

const SHAPES = new Set(['rect', 'circle', 'ellipse', 'path', 'polygon', 'use']);
const MOST_SHAPES = 5000;

/** A code behind or as a name, which says nothing that the colour does not. */
const CODE =
  /[,:]?\s*(?:#[0-9a-f]{3,8}|(?:rgba?|hsla?|hwb|oklch|oklab|lch|lab)\([^)]*\)|\d{1,3} \d{1,3} \d{1,3} \d{1,3})\s*$/i;

const colorIn = (text: string | undefined): string | null => {
  const parsed = text && text !== 'none' && !text.startsWith('url(') ? parseColor(text) : null;
  return parsed?.ok ? canonical(parsed.color) : null;
};

/** The label of a shape: for readers, or one in an editor's own namespace, whichever that is. */
const labelOf = (attributes: Readonly<Record<string, string>>): string | undefined => {
  const key = Object.keys(attributes).find((name) => /(?::|^aria-)label$/.test(name));
  return key === undefined ? undefined : attributes[key];
};

/**
 * The coloured shapes of an SVG drawing by their names: a title in them, a label, or an id. Names that are a code alone are
 * none. Null where the text is no SVG.
 */
export function shapesIn(text: string): NamedShape[] | null {
  const out: { name: string | null; css: string }[] = [];
  const open: { shape: (typeof out)[number] | null; isTitle: boolean }[] = [];
  let isSvg = false;
  let title = '';
  try {
    const parser = new SaxesParser();
    parser.on('error', (error) => {
      throw error;
    });
    parser.on('opentag', ({ name, attributes }) => {
      const plain = name.slice(name.indexOf(':') + 1);
      isSvg ||= plain === 'svg';
      const own = attributes as Readonly<Record<string, string>>;
      const styled = /(?:^|;)\s*fill\s*:\s*([^;]+)/.exec(own.style ?? '')?.[1]?.trim();
      const css = SHAPES.has(plain) ? colorIn(styled ?? own.fill) : null;
      const shape = css
        ? {
            css,
            name: nameFrom(labelOf(own) ?? own['data-name'] ?? own.id ?? ''),
          }
        : null;
      if (shape && out.length < MOST_SHAPES) out.push(shape);
      if (plain === 'title') title = '';
      open.push({ shape, isTitle: plain === 'title' });
    });
    parser.on('text', (said) => {
      if (open[open.length - 1]?.isTitle) title += said;
    });
    parser.on('closetag', () => {
      const closed = open.pop();
      const around = open[open.length - 1];
      if (closed?.isTitle && around?.shape) around.shape.name = nameFrom(title) ?? around.shape.name;
    });
    parser.write(text).close();
  } catch {
    if (!isSvg) return null;
  }
  return isSvg ? out : null;
}

function nameFrom(text: string): string | null {
  const name = text.trim().replace(CODE, '').trim().slice(0, 80);
  return name && !parseColor(name).ok ? name : null;
}
