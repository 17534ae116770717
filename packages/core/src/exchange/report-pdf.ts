import { PDFDocument, type PDFFont, type PDFPage, rgb, StandardFonts } from 'pdf-lib';
import { EXEMPT_NAMES } from '../document/pairs/pair.ts';
import type { ContrastReport, ReportedPair, ReportedTheme } from '../judged/readout/report.ts';

// A4, points.
const WIDTH = 595;
const HEIGHT = 842;
const MARGIN = 44;
const ROW = 19;
const INK = rgb(0.08, 0.08, 0.08);
const FAILS = rgb(0.56, 0.08, 0.08);
const HAIR = rgb(0.77, 0.77, 0.77);

/** Where the columns begin, and what stands over them; figures end where their column does. */
const COLUMNS = {
  colors: { x: MARGIN, head: 'Colours' },
  pair: { x: MARGIN + 56, head: 'Pair' },
  target: { x: MARGIN + 262, head: 'Asked for' },
  ratio: { x: MARGIN + 418, head: 'Ratio' },
  required: { x: MARGIN + 454, head: 'Needs' },
} as const;

const SAID = {
  passes: '',
  exempt: '  exempt',
  fails: '  FAILS',
  broken: '  BROKEN',
  unmeasured: '  NOT MEASURED',
} as const;

/** Text as the fonts that every reader has can write it: letters of Western Europe; others as a question mark. */
const written = (text: string, font: PDFFont): string => {
  const known = new Set(font.getCharacterSet());
  return [...text].map((sign) => (known.has(sign.codePointAt(0)!) ? sign : '?')).join('');
};

/** As much of a text as a width holds. */
function fitted(text: string, font: PDFFont, size: number, width: number): string {
  let shown = text;
  while (shown && font.widthOfTextAtSize(shown, size) > width) shown = shown.slice(0, -1);
  return shown === text ? text : `${shown.slice(0, -1)}…`;
}

const colorOf = (hex: string) => {
  const part = (at: number) => Number.parseInt(hex.slice(at, at + 2), 16) / 255;
  return rgb(part(1), part(3), part(5));
};

/** The pages of a report, and the place on the last of them that is written next. */
class Paper {
  /** Height above the foot of the page. */
  y = HEIGHT - MARGIN;
  private page: PDFPage;
  private readonly pdf: PDFDocument;
  private readonly plain: PDFFont;
  private readonly bold: PDFFont;

  constructor(pdf: PDFDocument, plain: PDFFont, bold: PDFFont) {
    this.pdf = pdf;
    this.plain = plain;
    this.bold = bold;
    this.page = pdf.addPage([WIDTH, HEIGHT]);
  }

  say(
    text: string,
    x: number,
    size: number,
    { isBold = false, width = WIDTH - MARGIN - x, color = INK } = {},
  ) {
    const font = isBold ? this.bold : this.plain;
    const shown = fitted(written(text, font), font, size, width);
    this.page.drawText(shown, { x, y: this.y, size, font, color });
  }

  /** Begins another page where so much does not fit any more. */
  room(height: number, again: () => void = () => {}): void {
    if (this.y - height > MARGIN) return;
    this.page = this.pdf.addPage([WIDTH, HEIGHT]);
    this.y = HEIGHT - MARGIN;
    again();
  }

  heads(): void {
    for (const { x, head } of Object.values(COLUMNS)) this.say(head, x, 8);
    this.y -= 6;
    const { page, y } = this;
    page.drawLine({ start: { x: MARGIN, y }, end: { x: WIDTH - MARGIN, y }, color: HAIR });
    this.y -= 13;
  }

  /** The text's colour on the ground's. */
  private specimen(text: string, ground: string): void {
    const { page, y } = this;
    const box = { borderColor: HAIR, borderWidth: 0.5, color: colorOf(ground) };
    page.drawRectangle({ x: MARGIN, y: y - 4, width: 44, height: 14, ...box });
    page.drawRectangle({ x: MARGIN + 12, y, width: 20, height: 6, color: colorOf(text) });
  }

  row(pair: ReportedPair): void {
    const isBold = pair.verdict !== 'passes' && pair.verdict !== 'exempt';
    const figure = { isBold, color: isBold ? FAILS : INK };
    if (pair.textColor && pair.groundColor) this.specimen(pair.textColor, pair.groundColor);
    this.say(`${pair.text} on ${pair.ground}`, COLUMNS.pair.x, 9, { isBold, width: 200 });
    this.say(`${pair.target}, ${pair.size} px, ${pair.weight}`, COLUMNS.target.x, 9, { width: 150 });
    this.say(pair.ratio ?? 'broken', COLUMNS.ratio.x, 9, { ...figure, width: 36 });
    this.say(`${pair.required}${SAID[pair.verdict]}`, COLUMNS.required.x, 9, { ...figure, width: 100 });
    if (pair.exempt) {
      this.y -= 11;
      this.say(`Exempt as ${EXEMPT_NAMES[pair.exempt.as]}: ${pair.exempt.reason}`, COLUMNS.pair.x, 8);
    }
    this.y -= ROW;
  }

  head({ project, revision, at, rules, passing, of }: ContrastReport): void {
    const made = `Made on ${at.slice(0, 10)}${revision === null ? '' : `, revision ${revision}`}.`;
    this.y -= 12;
    this.say(`${project}: contrast report`, MARGIN, 18, { isBold: true });
    this.y -= 20;
    this.say(`${passing} of ${of} measurements pass, by ${rules}. ${made}`, MARGIN, 10);
    this.y -= 14;
    this.say(
      'Ratios are cut after two digits and never rounded up; translucent colours are measured as painted.',
      MARGIN,
      9,
    );
  }

  theme({ name, passing, of, pairs }: ReportedTheme): void {
    const title = (more = '') => {
      this.say(`${name}${more}`, MARGIN, 13, { isBold: true });
      this.y -= 14;
      if (!more) this.say(`${passing} of ${of} pairs pass`, MARGIN, 9);
      this.y -= 16;
      this.heads();
    };
    this.y -= 30;
    this.room(90);
    title();
    for (const pair of pairs) {
      this.room(pair.exempt ? ROW + 11 : ROW, () => title(', continued'));
      this.row(pair);
    }
  }

  declined(all: ContrastReport['declined']): void {
    if (!all.length) return;
    this.y -= 30;
    this.room(60);
    this.say('Not pairs: suggested and declined', MARGIN, 13, { isBold: true });
    this.y -= 18;
    for (const { text, ground, reason } of all) {
      this.room(ROW);
      this.say(`${text} on ${ground}`, MARGIN, 9, { width: 210 });
      this.say(reason, COLUMNS.target.x, 9);
      this.y -= ROW;
    }
  }
}

/**
 * A report as a PDF (A4) with real text, a title and a language, so that it can be searched and read aloud. Names are
 * written in letters of Western Europe, which the fonts that every reader has hold; others become a question mark.
 */
export async function writeReportPdf(report: ContrastReport): Promise<Uint8Array> {
  const pdf = await PDFDocument.create();
  const plain = await pdf.embedFont(StandardFonts.Helvetica);
  const bold = await pdf.embedFont(StandardFonts.HelveticaBold);
  pdf.setTitle(`${report.project}: contrast report`, { showInWindowTitleBar: true });
  pdf.setLanguage('en');
  pdf.setProducer('Mint Lamp');
  pdf.setCreationDate(new Date(report.at));
  const paper = new Paper(pdf, plain, bold);
  paper.head(report);
  for (const theme of report.themes) paper.theme(theme);
  paper.declined(report.declined);
  return pdf.save();
}
