import type { System } from '../system/resolve.ts';

/** A file that a system is handed over as, and all that there is to know of it. */
interface FileFormat {
  /** Its part of an address. */
  readonly id: string;
  readonly name: string;
  /** Words by which it is found, beside its name. */
  readonly also: string;
  readonly mediaType: string;
  /** What the file is called; `stem` is the project's name as a part of a file's. */
  readonly fileName: (stem: string) => string;
  /** What writes it, which is fetched when it is needed. */
  readonly writer: () => Promise<(system: System) => string>;
}

/** All of them, the usual one first. */
export const FILE_FORMATS = [
  {
    id: 'css',
    name: 'CSS custom properties',
    also: 'variables sheet',
    mediaType: 'text/css',
    fileName: (stem) => `${stem}.css`,
    writer: async () => (await import('./css.ts')).writeCss,
  },
  {
    id: 'hex',
    name: 'List of hex values',
    also: 'text codes',
    mediaType: 'text/plain',
    fileName: (stem) => `${stem}-hex.txt`,
    writer: async () => (await import('./hex-list.ts')).writeHexList,
  },
  {
    id: 'check',
    name: 'Contrast check for a build',
    also: 'script',
    mediaType: 'text/javascript',
    fileName: () => 'check-contrast.mjs',
    writer: async () => (await import('./check-script.ts')).writeCheckScript,
  },
] as const satisfies readonly FileFormat[];

export type FileFormatId = (typeof FILE_FORMATS)[number]['id'];

/** The format with an id; the usual one where there is none. */
export const fileFormat = (id: string | undefined): (typeof FILE_FORMATS)[number] =>
  FILE_FORMATS.find((format) => format.id === id) ?? FILE_FORMATS[0];
