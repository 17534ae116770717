import { PDFDocument, type PDFFont, type PDFPage, rgb, StandardFonts } from 'pdf-lib';
import { EXEMPT_NAMES } from '../document/pairs/pair.ts';
import type { ContrastReport, ReportedPair } from '../judged/readout/report.ts';

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

interface Pen {
  page: PDFPage;
  /** Height above the foot of the page. */
  y: number;
}

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

/**
 * A report as a PDF (A4) with real text, a title and a language, so that it can be searched and read aloud. Names are
 * written in letters of Western Europe, which the fonts that every reader has hold; others become a question mark.
 */
export async function writeReportPdf(report: ContrastReport): Promise<Uint8Array> {
  const { project, revision, at, rules, passing, of, declined, themes } = report;
  const pdf = await PDFDocument.create();
  const plain = await pdf.embedFont(StandardFonts.Helvetica);
  const bold = await pdf.embedFont(StandardFonts.HelveticaBold);
  pdf.setTitle(`${project}: contrast report`, { showInWindowTitleBar: true });
  pdf.setLanguage('en');
  pdf.setProducer('Mint Lamp');
  pdf.setCreationDate(new Date(at));
  const pen: Pen = { page: pdf.addPage([WIDTH, HEIGHT]), y: HEIGHT - MARGIN };
  const say = (
    text: string,
    x: number,
    size: number,
    font: PDFFont,
    width = WIDTH - MARGIN - x,
    color = INK,
  ) => pen.page.drawText(fitted(written(text, font), font, size, width), { x, y: pen.y, size, font, color });
  const heads = () => {
    for (const { x, head } of Object.values(COLUMNS)) say(head, x, 8, plain);
    pen.y -= 6;
    pen.page.drawLine({ start: { x: MARGIN, y: pen.y }, end: { x: WIDTH - MARGIN, y: pen.y }, color: HAIR });
    pen.y -= 13;
  };
  /** Begins another page where so much does not fit any more. */
  const room = (height: number, again: () => void) => {
    if (pen.y - height > MARGIN) return;
    pen.page = pdf.addPage([WIDTH, HEIGHT]);
    pen.y = HEIGHT - MARGIN;
    again();
  };
  const row = (pair: ReportedPair) => {
    const isFine = pair.verdict === 'passes' || pair.verdict === 'exempt';
    const font = isFine ? plain : bold;
    const color = isFine ? INK : FAILS;
    if (pair.textColor && pair.groundColor) {
      pen.page.drawRectangle({
        x: MARGIN,
        y: pen.y - 4,
        width: 44,
        height: 14,
        color: colorOf(pair.groundColor),
        borderColor: HAIR,
        borderWidth: 0.5,
      });
      pen.page.drawRectangle({
        x: MARGIN + 12,
        y: pen.y,
        width: 20,
        height: 6,
        color: colorOf(pair.textColor),
      });
    }
    say(`${pair.text} on ${pair.ground}`, COLUMNS.pair.x, 9, font, 200);
    say(`${pair.target}, ${pair.size} px, ${pair.weight}`, COLUMNS.target.x, 9, plain, 150);
    say(pair.ratio ?? 'broken', COLUMNS.ratio.x, 9, font, 36, color);
    say(`${pair.required}${SAID[pair.verdict]}`, COLUMNS.required.x, 9, font, 100, color);
    if (pair.exempt) {
      pen.y -= 11;
      say(`Exempt as ${EXEMPT_NAMES[pair.exempt.as]}: ${pair.exempt.reason}`, COLUMNS.pair.x, 8, plain);
    }
    pen.y -= ROW;
  };
  pen.y -= 12;
  say(`${project}: contrast report`, MARGIN, 18, bold);
  pen.y -= 20;
  say(
    `${passing} of ${of} measurements pass, by ${rules}. Made on ${at.slice(0, 10)}${revision === null ? '' : `, revision ${revision}`}.`,
    MARGIN,
    10,
    plain,
  );
  pen.y -= 14;
  say(
    'Ratios are cut after two digits and never rounded up; translucent colours are measured as painted.',
    MARGIN,
    9,
    plain,
  );
  for (const { name, passing: fine, of: all, pairs } of themes) {
    const title = (more = '') => {
      say(`${name}${more}`, MARGIN, 13, bold);
      pen.y -= 14;
      if (!more) say(`${fine} of ${all} pairs pass`, MARGIN, 9, plain);
      pen.y -= 16;
      heads();
    };
    pen.y -= 30;
    room(90, () => {});
    title();
    for (const pair of pairs) {
      room(pair.exempt ? ROW + 11 : ROW, () => title(', continued'));
      row(pair);
    }
  }
  if (declined.length) {
    pen.y -= 30;
    room(60, () => {});
    say('Not pairs: suggested and declined', MARGIN, 13, bold);
    pen.y -= 18;
    for (const { text, ground, reason } of declined) {
      room(ROW, () => {});
      say(`${text} on ${ground}`, MARGIN, 9, plain, 210);
      say(reason, COLUMNS.target.x, 9, plain);
      pen.y -= ROW;
    }
  }
  return pdf.save();
}
