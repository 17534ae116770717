import { choicesOf, type FormId } from '../document/delivery/forms.ts';
import type { HandedOver, Written } from './handed-over.ts';

/** A file that a system is handed over as, and all that there is to know of it. */
interface FileFormat {
  /** Its part of an address. */
  readonly id: Exclude<FormId, 'project'>;
  readonly name: string;
  /** Words by which it is found, beside its name. */
  readonly also: string;
  /** Whom it is for. */
  readonly group: 'code' | 'tables' | 'people' | 'build';
  readonly mediaType: string;
  /** What the file is called; `stem` is the project's name as a part of a file's. */
  readonly fileName: (stem: string) => string;
  /** What writes it, which is fetched when it is needed. */
  readonly writer: () => Promise<(handed: HandedOver) => Written | Promise<Written>>;
}

/** All of them, the usual one first. */
export const FILE_FORMATS = [
  {
    id: 'css',
    name: 'CSS',
    also: 'custom properties variables sheet',
    group: 'code',
    mediaType: 'text/css',
    fileName: (stem) => `${stem}.css`,
    writer: async () => {
      const { writeCss } = await import('./css.ts');
      return ({ system, choices }) => writeCss(system, choicesOf(choices, 'css'));
    },
  },
  {
    id: 'tokens',
    name: 'Design tokens',
    also: 'dtcg json resolver',
    group: 'code',
    mediaType: 'application/json',
    fileName: (stem) => `${stem}.tokens.json`,
    writer: async () => {
      const { writeTokens } = await import('./tokens.ts');
      return ({ system, choices }) => writeTokens(system, choicesOf(choices, 'tokens'));
    },
  },
  {
    id: 'tailwind',
    name: 'Tailwind theme',
    also: 'utilities',
    group: 'code',
    mediaType: 'text/css',
    fileName: (stem) => `${stem}-theme.css`,
    writer: async () => {
      const { writeTailwind } = await import('./tailwind.ts');
      return ({ system, choices }) => writeTailwind(system, choicesOf(choices, 'tailwind'));
    },
  },
  {
    id: 'scss',
    name: 'SCSS',
    also: 'sass maps variables',
    group: 'code',
    mediaType: 'text/x-scss',
    fileName: (stem) => `_${stem}.scss`,
    writer: async () => {
      const { writeScss } = await import('./scss.ts');
      return ({ system, choices }) => writeScss(system, choicesOf(choices, 'scss'));
    },
  },
  {
    id: 'typescript',
    name: 'TypeScript constants',
    also: 'javascript types',
    group: 'code',
    mediaType: 'text/plain',
    fileName: (stem) => `${stem}.ts`,
    writer: async () => {
      const { writeTypescript } = await import('./typescript.ts');
      return ({ system, choices }) => writeTypescript(system, choicesOf(choices, 'typescript'));
    },
  },
  {
    id: 'json',
    name: 'JSON table',
    also: 'data',
    group: 'tables',
    mediaType: 'application/json',
    fileName: (stem) => `${stem}.json`,
    writer: async () => {
      const { writeJsonTable } = await import('./json-table.ts');
      return ({ system }) => writeJsonTable(system);
    },
  },
  {
    id: 'csv',
    name: 'CSV table',
    also: 'spreadsheet',
    group: 'tables',
    mediaType: 'text/csv',
    fileName: (stem) => `${stem}.csv`,
    writer: async () => {
      const { writeCsvTable } = await import('./csv-table.ts');
      return ({ system, choices }) => writeCsvTable(system, choicesOf(choices, 'csv'));
    },
  },
  {
    id: 'hex',
    name: 'List of codes',
    also: 'text hex values',
    group: 'tables',
    mediaType: 'text/plain',
    fileName: (stem) => `${stem}-codes.txt`,
    writer: async () => {
      const { writeCodeList } = await import('./code-list.ts');
      return ({ system, choices }) => writeCodeList(system, choicesOf(choices, 'hex'));
    },
  },
  {
    id: 'page',
    name: 'Page for the client',
    also: 'html people',
    group: 'people',
    mediaType: 'text/html',
    fileName: (stem) => `${stem}.html`,
    writer: async () => {
      const [{ writeClientPage }, { clientView }] = await Promise.all([
        import('./people/client-page.ts'),
        import('./people/client-view.ts'),
      ]);
      return ({ system, choices, at, revision }) =>
        writeClientPage(clientView(system, at, revision), choicesOf(choices, 'page'));
    },
  },
  {
    id: 'pdf',
    name: 'PDF for the client',
    also: 'paper print a4 letter',
    group: 'people',
    mediaType: 'application/pdf',
    fileName: (stem) => `${stem}.pdf`,
    writer: async () => {
      const [{ writeClientPaper }, { clientView }] = await Promise.all([
        import('./people/client-paper.ts'),
        import('./people/client-view.ts'),
      ]);
      return async ({ system, choices, at, revision, fonts }) =>
        writeClientPaper(
          clientView(system, at, revision, 'paper'),
          choicesOf(choices, 'pdf'),
          await fonts(),
          at,
        );
    },
  },
  {
    id: 'svg',
    name: 'SVG of swatches',
    also: 'sheet drawing',
    group: 'people',
    mediaType: 'image/svg+xml',
    fileName: (stem) => `${stem}-swatches.svg`,
    writer: async () => {
      const [{ swatchSheet, sheetFonts }, { writeSwatchSvg }] = await Promise.all([
        import('./people/swatches.ts'),
        import('./people/swatch-svg.ts'),
      ]);
      return async ({ system, choices, fonts }) =>
        writeSwatchSvg(swatchSheet(system, choicesOf(choices, 'svg'), sheetFonts(await fonts())));
    },
  },
  {
    id: 'png',
    name: 'PNG of swatches',
    also: 'picture',
    group: 'people',
    mediaType: 'image/png',
    fileName: (stem) => `${stem}-swatches.png`,
    writer: async () => {
      const [draw, { writePng }] = await Promise.all([
        swatchPixels('png'),
        import('./people/swatch-pictures.ts'),
      ]);
      return async (handed) => writePng(await draw(handed));
    },
  },
  {
    id: 'jpeg',
    name: 'JPEG of swatches',
    also: 'picture jpg',
    group: 'people',
    mediaType: 'image/jpeg',
    fileName: (stem) => `${stem}-swatches.jpg`,
    writer: async () => {
      const [draw, { writeJpeg }] = await Promise.all([
        swatchPixels('jpeg'),
        import('./people/swatch-pictures.ts'),
      ]);
      return async (handed) => writeJpeg(await draw(handed));
    },
  },
  {
    id: 'check',
    name: 'Contrast check',
    also: 'script build',
    group: 'build',
    mediaType: 'text/javascript',
    fileName: () => 'check-contrast.mjs',
    writer: async () => {
      const { writeCheckScript } = await import('./check-script.ts');
      return ({ system, choices }) => writeCheckScript(system, choicesOf(choices, 'css'));
    },
  },
] as const satisfies readonly FileFormat[];

/** What draws a sheet of swatches as pixels. */
async function swatchPixels(form: 'png' | 'jpeg') {
  const [{ swatchSheet, sheetFonts }, { drawSwatches }] = await Promise.all([
    import('./people/swatches.ts'),
    import('./people/swatch-pixels.ts'),
  ]);
  return async ({ system, choices, fonts }: HandedOver) => {
    const letters = sheetFonts(await fonts());
    return drawSwatches(swatchSheet(system, choicesOf(choices, form), letters), letters, form);
  };
}

export type FileFormatId = (typeof FILE_FORMATS)[number]['id'];

/** The format with an id; the usual one where there is none. */
export const fileFormat = (id: string | undefined): FileFormat & { readonly id: FileFormatId } =>
  FILE_FORMATS.find((format) => format.id === id) ?? FILE_FORMATS[0];
