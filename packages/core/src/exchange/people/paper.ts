import { type PDFDocument, type PDFFont, PDFName, type PDFPage } from 'pdf-lib';
import type { Rgba } from '../../contrast/ratio.ts';
import { deflated } from '../deflated.ts';
import { fittedText, STAND_ALONE } from './letters.ts';

/** Points around what is written on a page. */
export const MARGIN = 48;
const INK: Rgba = { r: 22, g: 22, b: 22, alpha: 1 };
export const WHITE: Rgba = { r: 255, g: 255, b: 255, alpha: 1 };
const EDGE: Rgba = { r: 128, g: 128, b: 128, alpha: 1 };

export interface TextStyle {
  readonly size?: number;
  readonly bold?: boolean;
  readonly color?: Rgba;
  readonly width?: number;
}

const number = (v: number) => String(Math.round(v * 100) / 100);
const share = (v: number) => String(Math.round((v / 255) * 1e5) / 1e5);
const SHARES = Array.from({ length: 256 }, (_, v) => share(v));
const channel = (v: number) => SHARES[v] ?? share(v);
const ink = ({ r, g, b }: Rgba) => `${channel(r)} ${channel(g)} ${channel(b)}`;

/** A font as texts are measured and written by it. */
class Face {
  readonly font: PDFFont;
  /** What the font is called in the content of pages. */
  readonly key: string;
  private readonly known: ReadonlySet<number>;
  private readonly widths = new Map<string, number>();
  private readonly encoded = new Map<string, string>();
  private readonly shortened = new Map<string, string>();

  constructor(font: PDFFont, key: string) {
    this.font = font;
    this.key = key;
    this.known = new Set(font.getCharacterSet());
  }

  /** A text in the letters that the font has; others as a question mark. */
  written(text: string): string {
    return [...text.replace(/\s+/gu, ' ')]
      .map((sign) => (this.known.has(sign.codePointAt(0)!) ? sign : '?'))
      .join('');
  }

  /**
   * Width of a text at a size of one point. Letters that stand beside each other as they are have their own widths each:
   * a PDF moves by those, and texts that are cut are measured many times.
   */
  width(text: string): number {
    if (text.length > 1 && STAND_ALONE.test(text)) {
      let sum = 0;
      for (const sign of text) sum += this.width(sign);
      return sum;
    }
    let width = this.widths.get(text);
    if (width === undefined) {
      width = this.font.widthOfTextAtSize(text, 1);
      this.widths.set(text, width);
    }
    return width;
  }

  fitted(text: string, size: number, most: number): string {
    const key = `${size} ${most} ${text}`;
    let shown = this.shortened.get(key);
    if (shown === undefined) {
      shown = fittedText(this.written(text), most, (part) => this.width(part) * size);
      this.shortened.set(key, shown);
    }
    return shown;
  }

  /** A text as the numbers of its glyphs, in hex between angle brackets. */
  encode(text: string): string {
    return `<${STAND_ALONE.test(text) ? [...text].map((sign) => this.glyphs(sign)).join('') : this.glyphs(text)}>`;
  }

  private glyphs(text: string): string {
    let hex = this.encoded.get(text);
    if (hex === undefined) {
      hex = this.font.encodeText(text).asString();
      this.encoded.set(text, hex);
    }
    return hex;
  }
}

/**
 * The pages of a PDF, and the place on the last of them that is written next. What is drawn is put together as the operators
 * of the format (ISO 32000) and given to a page when it is full: the largest projects have a hundred thousand of them.
 */
export class Paper {
  readonly width: number;
  readonly height: number;
  /** Height above the foot of the page. */
  y: number;
  private page: PDFPage;
  private readonly pdf: PDFDocument;
  private readonly regular: Face;
  private readonly bold: Face;
  private ground: Rgba = WHITE;
  private drawn: string[] = [];
  private readonly packing: Promise<void>[] = [];
  /** Slices that gradients are drawn in. */
  slices = 160;

  constructor(pdf: PDFDocument, regular: PDFFont, bold: PDFFont, [width, height]: readonly [number, number]) {
    this.pdf = pdf;
    this.regular = new Face(regular, 'Plain');
    this.bold = new Face(bold, 'Bold');
    this.width = width;
    this.height = height;
    this.page = this.blank();
    this.y = height - MARGIN;
  }

  get room(): number {
    return this.width - 2 * MARGIN;
  }

  private blank(): PDFPage {
    const page = this.pdf.addPage([this.width, this.height]);
    for (const { key, font } of [this.regular, this.bold])
      page.node.setFontDictionary(PDFName.of(key), font.ref);
    return page;
  }

  /** Gives the page what was drawn on it, packed while others are drawn. */
  private close(): void {
    const { context } = this.pdf;
    const place = context.nextRef();
    this.page.node.addContentStream(place);
    const content = new TextEncoder().encode(this.drawn.join('\n'));
    this.drawn = [];
    this.packing.push(
      deflated(content).then((packed) => {
        context.assign(place, context.stream(packed, { Filter: 'FlateDecode' }));
      }),
    );
  }

  /** Ends the last page; all of them are there after that. */
  async finish(): Promise<void> {
    this.close();
    await Promise.all(this.packing);
  }

  /** Another page, on a ground. */
  turn(ground: Rgba = this.ground): void {
    this.close();
    this.ground = ground;
    this.page = this.blank();
    if (ground !== WHITE) this.rect(0, 0, this.width, this.height, ground);
    this.y = this.height - MARGIN;
  }

  /** Begins another page where so much does not fit any more. */
  need(height: number, again: () => void = () => {}): void {
    if (this.y - height > MARGIN) return;
    this.turn();
    again();
  }

  rect(x: number, y: number, width: number, height: number, color: Rgba, border = false): void {
    const box = `${number(x)} ${number(y)} ${number(width)} ${number(height)} re`;
    this.drawn.push(`${ink(color)} rg ${box} f`);
    if (border) this.drawn.push(`${ink(EDGE)} RG 0.5 w ${box} S`);
  }

  text(
    said: string,
    x: number,
    y: number,
    { size = 10, bold = false, color = INK, width = this.width - MARGIN - x }: TextStyle = {},
  ): void {
    const face = bold ? this.bold : this.regular;
    const shown = face.fitted(said, size, width);
    if (!shown) return;
    const place = `${number(x)} ${number(y)} Td`;
    this.drawn.push(
      `BT ${ink(color)} rg /${face.key} ${number(size)} Tf ${place} ${face.encode(shown)} Tj ET`,
    );
  }

  /** A text in as many lines as it takes. */
  paragraph(
    said: string,
    x: number,
    { size = 10, bold = false, color = INK, width = this.width - MARGIN - x }: TextStyle = {},
  ): void {
    const face = bold ? this.bold : this.regular;
    let line = '';
    const flush = () => {
      this.need(size * 1.4);
      this.y -= size * 1.4;
      this.text(line, x, this.y, { size, bold, color, width });
      line = '';
    };
    for (const word of face.written(said).split(' ')) {
      const longer = line ? `${line} ${word}` : word;
      if (face.width(longer) * size > width && line) flush();
      line = line ? `${line} ${word}` : word;
    }
    if (line) flush();
  }

  heading(said: string, size = 15, color = INK): void {
    this.need(size * 2 + 40);
    this.y -= size * 1.2;
    this.text(said, MARGIN, this.y, { size, bold: true, color });
    this.y -= size * 0.7;
  }

  /** Opaque colours along a box from left to right, in slices. */
  strip(
    x: number,
    y: number,
    width: number,
    height: number,
    slices: number,
    colorAt: (t: number) => Rgba,
  ): void {
    const slice = width / slices;
    const rest = `${number(y)}`;
    const foot = `${number(height)} re f`;
    let last = '';
    for (let i = 0; i < slices; i++) {
      // Each reaches under all that come after, so that no seam is seen between two, and one of the same colour is there.
      const own = `${ink(colorAt((i + 0.5) / slices))} rg`;
      if (own !== last)
        this.drawn.push(`${own} ${number(x + i * slice)} ${rest} ${number(width - i * slice)} ${foot}`);
      last = own;
    }
  }
}
