import fontkit from '@pdf-lib/fontkit';
import { PDFDocument } from 'pdf-lib';
import type { Rgba } from '../../contrast/ratio.ts';
import { paintedOver } from '../../contrast/ratio.ts';
import type { ChoicesOf } from '../../document/delivery/forms.ts';
import { colorAtPlace, placeStops } from '../../gradient/model.ts';
import type { ReportedPair } from '../../judged/readout/report.ts';
import { paintedGradient } from '../../system/gradients/resolved-gradient.ts';
import type { ClientView, ShownRole, ShownTheme } from './client-view.ts';
import { isLightOver } from './client-view.ts';
import type { FontFiles } from './letters.ts';
import { MARGIN, Paper, WHITE } from './paper.ts';

/** How far an answer stands in from its note, pt. */
const ANSWER_INDENT = 16;

/** Slices that a gradient is drawn in; fewer where there are hundreds, of which each would be looked at for a second. */
const [SLICES, FEW_SLICES] = [160, 36];
const MANY_STRIPS = 300;
const MANY_OF_A_THEME = 40;
/** Points. */
const PAPER = { a4: [595.28, 841.89], letter: [612, 792] } as const;
const QUIET = { r: 84, g: 84, b: 84, alpha: 1 };
const BLACK = { r: 0, g: 0, b: 0, alpha: 1 };

function families(paper: Paper, view: ClientView, codes: boolean): void {
  if (!view.families.length) return;
  paper.heading('Families');
  for (const { name, shades } of view.families) {
    const rows = Math.ceil(shades.length / 12);
    const columns = Math.ceil(shades.length / rows);
    const [width, height] = [paper.room / columns, codes ? 44 : 34];
    paper.need(22 + height);
    paper.y -= 14;
    paper.text(name, MARGIN, paper.y, { size: 11, bold: true });
    paper.y -= 6;
    shades.forEach(({ name: label, code, painted, isLight }, i) => {
      const column = i % columns;
      if (column === 0) {
        paper.need(height);
        paper.y -= height;
      }
      const x = MARGIN + column * width;
      const solid = painted.alpha < 1 ? paintedOver(painted, WHITE) : painted;
      const color = isLight ? BLACK : WHITE;
      paper.rect(x, paper.y, width - 2, height - 2, solid);
      paper.text(label, x + 4, paper.y + height - 16, { size: 9.5, bold: true, color, width: width - 6 });
      if (codes)
        paper.text(code, x + 4, paper.y + 8, { size: columns > 8 ? 7 : 8.5, color, width: width - 6 });
    });
    paper.y -= 10;
  }
}

function role(
  paper: Paper,
  theme: ShownTheme,
  one: ShownRole,
  x: number,
  width: number,
  codes: boolean,
): void {
  const { page, text } = theme;
  const gradient = one.color
    ? null
    : theme.resolved.gradients.get(theme.gradients.find(({ name }) => name === one.gradient)?.id ?? '');
  if (one.color) paper.rect(x, paper.y, 30, 30, paintedOver(one.color.painted, page), true);
  else if (gradient) drawGradient(paper, gradient, x, paper.y, 30, 30);
  const line = { color: text, width: width - 40 };
  paper.text(one.name, x + 38, paper.y + 20, { ...line, size: 10, bold: true });
  const said =
    one.retired === null ? (one.about ?? one.color?.words ?? one.gradient ?? '') : 'no longer used';
  paper.text(codes && one.color ? `${one.color.code}  ${said}` : said, x + 38, paper.y + 6, {
    ...line,
    size: 8.5,
  });
}

type Resolved = Parameters<typeof paintedGradient>[0];

function drawGradient(
  paper: Paper,
  resolved: Resolved,
  x: number,
  y: number,
  width: number,
  height: number,
  veil: Rgba | null = null,
) {
  const painted = paintedGradient(resolved);
  if (!painted) return;
  const placed = placeStops({ ...painted, repeating: false });
  const span = placed.last - placed.first || 1;
  paper.strip(x, y, width, height, paper.slices, (t) => {
    const along = paintedOver(colorAtPlace(placed, placed.first + t * span), WHITE);
    const color = { ...along, alpha: 1 };
    return veil ? paintedOver(veil, color) : color;
  });
}

function roles(paper: Paper, theme: ShownTheme, codes: boolean): void {
  paper.turn(theme.page);
  paper.heading(theme.name, 18, theme.text);
  const columns = 3;
  const width = paper.room / columns;
  for (const { name, roles: list } of theme.groups) {
    const title = () => {
      paper.y -= 16;
      paper.text(name || 'on their own', MARGIN, paper.y, { size: 11, bold: true, color: theme.text });
      paper.y -= 6;
    };
    paper.need(54);
    title();
    list.forEach((one, i) => {
      if (i % columns === 0) {
        paper.need(36, title);
        paper.y -= 36;
      }
      role(paper, theme, one, MARGIN + (i % columns) * width, width - 8, codes);
    });
    paper.y -= 3;
  }
}

/** A first page of the theme, sketched with the project's own words. */
function scene(paper: Paper, view: ClientView, theme: ShownTheme): void {
  const height = 170;
  paper.need(height + 24);
  paper.y -= height + 14;
  const { y } = paper;
  const width = paper.room;
  const { roles: resolved } = theme.resolved;
  const of = (use: string): Rgba | null => {
    const css = theme.paints[use as keyof typeof theme.paints];
    const found = css && [...resolved.values()].find(({ color }) => color?.css === css)?.color;
    return found ? paintedOver(found, theme.page) : null;
  };
  const say = (word: string) => view.words[word] ?? '';
  const text = of('text') ?? theme.text;
  paper.rect(MARGIN, y, width, height, theme.page, true);
  paper.text(say('name'), MARGIN + 14, y + height - 18, { size: 11, bold: true, color: text, width: 200 });
  const hero = of('hero') ?? of('action') ?? text;
  const image = theme.gradients.find(({ css }) => css === theme.paints.hero);
  const veil = theme.paints['hero-veil'];
  const over = veil ? ([...resolved.values()].find(({ color }) => color?.css === veil)?.color ?? null) : null;
  if (image) drawGradient(paper, theme.resolved.gradients.get(image.id)!, MARGIN, y + 62, width, 80, over);
  else paper.rect(MARGIN, y + 62, width, 80, over ? paintedOver(over, hero) : hero);
  const heroText = of('hero-text') ?? (isLightOver(hero) ? BLACK : WHITE);
  paper.text(say('headline'), MARGIN + 14, y + 112, {
    size: 18,
    bold: true,
    color: heroText,
    width: width - 28,
  });
  paper.text(say('lead'), MARGIN + 14, y + 94, { size: 10, color: heroText, width: width - 28 });
  const action = of('accent') ?? of('action') ?? text;
  paper.rect(MARGIN + 14, y + 68, 90, 20, action, true);
  paper.text(say('action'), MARGIN + 22, y + 74, {
    size: 9,
    bold: true,
    color: of('accent-text') ?? (isLightOver(action) ? BLACK : WHITE),
    width: 74,
  });
  const part = (width - 28) / 3;
  [1, 2, 3].forEach((n, i) => {
    const x = MARGIN + 14 + i * part;
    paper.rect(x, y + 10, part - 8, 44, of('raised') ?? theme.page, true);
    paper.text(say(`card${n}`), x + 8, y + 38, { size: 9.5, bold: true, color: text, width: part - 24 });
    paper.text(say(`cardNote${n}`), x + 8, y + 22, { size: 8, color: of('quiet') ?? text, width: part - 24 });
  });
}

function gradients(paper: Paper, theme: ShownTheme): void {
  const own = theme.gradients.filter(({ same }) => !same);
  if (!own.length) return;
  paper.heading('Gradients', 13);
  // Beside each other where there are very many.
  const columns = own.length > MANY_OF_A_THEME ? 2 : 1;
  const width = paper.room / columns;
  own.forEach(({ id, name }, i) => {
    const x = MARGIN + (i % columns) * width;
    if (i % columns === 0) {
      paper.need(58);
      paper.y -= 48;
    }
    paper.text(name, x, paper.y + 34, { size: 10, bold: true, width: width - 8 });
    drawGradient(paper, theme.resolved.gradients.get(id)!, x, paper.y, width - (columns > 1 ? 8 : 0), 30);
    if (i % columns === columns - 1) paper.y -= 8;
  });
}

const VERDICTS = {
  passes: 'can be read',
  fails: 'is hard to read',
  broken: 'has no colour',
  exempt: 'doesn’t need to be read',
  unmeasured: 'was not measured',
} as const;

const colorOfHex = (hex: string): Rgba => {
  const part = (at: number) => Number.parseInt(hex.slice(at, at + 2), 16);
  return { r: part(1), g: part(3), b: part(5), alpha: 1 };
};

function pairs(paper: Paper, { name, pairs: list, passing, of }: ShownTheme): void {
  if (!list.length) return;
  paper.heading(`Can it be read? ${name}`, 13);
  paper.paragraph(`${passing} of ${of} pairs of text and ground can be read, by WCAG 2.2.`, MARGIN);
  paper.y -= 6;
  const isGood = ({ verdict }: ReportedPair) => verdict === 'passes' || verdict === 'exempt';
  for (const pair of list.filter((one) => !isGood(one))) {
    paper.need(20);
    paper.y -= 20;
    specimen(paper, pair, MARGIN);
    paper.text(`${pair.text} on ${pair.ground}`, MARGIN + 34, paper.y, { size: 9, bold: true, width: 260 });
    paper.text(
      `${pair.ratio ?? 'none'} of ${pair.required}: ${VERDICTS[pair.verdict]}`,
      MARGIN + 300,
      paper.y,
      { size: 9, bold: true },
    );
  }
  // What passes stands close together, two beside each other.
  const width = paper.room / 2;
  list.filter(isGood).forEach((pair, i) => {
    if (i % 2 === 0) {
      paper.need(16);
      paper.y -= 16;
    }
    const x = MARGIN + (i % 2) * width;
    specimen(paper, pair, x);
    paper.text(`${pair.text} on ${pair.ground}`, x + 34, paper.y, { size: 8, width: width - 74 });
    paper.text(pair.ratio ?? '', x + width - 36, paper.y, { size: 8, color: QUIET, width: 34 });
  });
}

function specimen(paper: Paper, { textColor, groundColor }: ReportedPair, x: number): void {
  if (!textColor || !groundColor) return;
  paper.rect(x, paper.y - 3, 26, 12, colorOfHex(groundColor), true);
  paper.rect(x + 7, paper.y, 12, 6, colorOfHex(textColor));
}

/**
 * The system for people as a PDF: the same as the page, for paper of A4 or letter size, with real text in a font that is
 * embedded as far as it is used; letters that the font has not are question marks. A title and a language are set.
 */
export async function writeClientPaper(
  view: ClientView,
  { paper: size, codes, notes }: ChoicesOf<'pdf'>,
  fonts: FontFiles,
  at: string,
): Promise<Uint8Array> {
  const pdf = await PDFDocument.create();
  pdf.registerFontkit(fontkit);
  const regular = await pdf.embedFont(fonts.regular, { subset: true });
  const bold = await pdf.embedFont(fonts.bold, { subset: true });
  pdf.setTitle(`${view.project}: colours`, { showInWindowTitleBar: true });
  pdf.setLanguage('en');
  pdf.setProducer('Mint Lamp');
  pdf.setCreator('Mint Lamp');
  pdf.setCreationDate(new Date(at));
  pdf.setModificationDate(new Date(at));
  const paper = new Paper(pdf, regular, bold, PAPER[size]);
  const strips = view.themes.reduce(
    (sum, theme) => sum + theme.gradients.filter(({ same }) => !same).length,
    0,
  );
  paper.slices = strips > MANY_STRIPS ? FEW_SLICES : SLICES;
  paper.y -= 20;
  paper.text(view.project, MARGIN, paper.y, { size: 26, bold: true });
  paper.y -= 20;
  const rating = view.of ? ` ${view.passing} of ${view.of} measurements of contrast pass.` : '';
  const revision = view.revision === null ? '' : ` (revision ${view.revision})`;
  paper.paragraph(`Colours, as of ${view.day}${revision}.${rating}`, MARGIN, { color: QUIET });
  paper.y -= 14;
  families(paper, view, codes);
  for (const theme of view.themes) {
    roles(paper, theme, codes);
    paper.turn(WHITE);
    paper.heading(theme.name, 15);
    scene(paper, view, theme);
    gradients(paper, theme);
    pairs(paper, theme);
  }
  if (notes && view.notes.length) {
    paper.heading('Notes');
    for (const { on, text, by, answers } of view.notes) {
      paper.paragraph(text, MARGIN, { size: 10.5 });
      paper.paragraph(`on ${on}${by ? `, by ${by}` : ''}`, MARGIN, { size: 9, color: QUIET });
      for (const answer of answers) {
        paper.paragraph(answer.text, MARGIN + ANSWER_INDENT, { size: 10.5 });
        paper.paragraph(answer.by ? `answered by ${answer.by}` : 'an answer', MARGIN + ANSWER_INDENT, {
          size: 9,
          color: QUIET,
        });
      }
      paper.y -= 8;
    }
  }
  await paper.finish();
  // Off the page's thread: nothing waits for a turn.
  return pdf.save({ objectsPerTick: Number.POSITIVE_INFINITY });
}
