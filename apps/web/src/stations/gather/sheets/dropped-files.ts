import type { SheetFile } from '@mint-lamp/core/sheet/sheet-files';
import { SHEET_ENDINGS } from '@mint-lamp/core/sheet/written/sheet-of';
import { MOST_BYTES, MOST_FILES } from './sheet-files.ts';

const isSheet = (name: string) =>
  SHEET_ENDINGS.some((ending) => name.toLowerCase().endsWith(`.${ending}`)) ||
  !/\.\w+$/.test(name) ||
  /\.(?:txt|sass|pcss|postcss)$/i.test(name);
/** Folders in which nobody keeps sheets of their own. */
const PASSED_OVER = /(?:^|\/)(?:node_modules|\.git)(?:\/|$)/;

/** Files with their paths in the folder that they were in. */
interface Found {
  readonly path: string;
  readonly file: File;
}

const entriesOf = (folder: FileSystemDirectoryEntry): Promise<FileSystemEntry[]> =>
  new Promise((done, fail) => {
    const reader = folder.createReader();
    const all: FileSystemEntry[] = [];
    const next = () =>
      reader.readEntries((some) => {
        all.push(...some);
        // It gives a hundred at a time, and none at the end.
        if (some.length) next();
        else done(all);
      }, fail);
    next();
  });

async function walk(entry: FileSystemEntry, found: Found[], depth = 0): Promise<void> {
  const path = entry.fullPath.replace(/^\//, '');
  if (depth > 20 || found.length > MOST_FILES || PASSED_OVER.test(path)) return;
  if (entry.isDirectory) {
    const inner = await entriesOf(entry as FileSystemDirectoryEntry);
    for (const one of inner.sort((a, b) => (a.name < b.name ? -1 : 1))) await walk(one, found, depth + 1);
  } else if (isSheet(entry.name)) {
    const file = await new Promise<File>((done, fail) => (entry as FileSystemFileEntry).file(done, fail));
    found.push({ path, file });
  }
}

async function textsOf(found: readonly Found[]): Promise<SheetFile[]> {
  const small = found.filter(({ file }) => file.size <= MOST_BYTES).slice(0, MOST_FILES + 1);
  return Promise.all(small.map(async ({ path, file }) => ({ name: path, text: await file.text() })));
}

/** The sheets among what was dropped, folders gone through. */
export async function droppedSheets(data: DataTransfer): Promise<SheetFile[]> {
  // The list is empty once the event is over.
  const entries = [...data.items].flatMap((item) => item.webkitGetAsEntry() ?? []);
  if (!entries.length) return chosenSheets([...data.files]);
  const found: Found[] = [];
  for (const entry of entries) await walk(entry, found);
  return textsOf(found);
}

/** The sheets among files that were chosen, of a folder too. */
export const chosenSheets = (files: readonly File[]): Promise<SheetFile[]> =>
  textsOf(
    files
      .map((file) => ({ path: file.webkitRelativePath || file.name, file }))
      .filter(({ path }) => isSheet(path) && !PASSED_OVER.test(path)),
  );
