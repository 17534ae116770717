import type { SheetFile } from '@mint-lamp/core/sheet/sheet-files';
import { useSyncExternalStore } from 'react';
import { ofTab } from '../../../storing/storage.ts';

/** Files that are read together, and bytes of them in all. */
export const MOST_FILES = 200;
export const MOST_BYTES = 16_000_000;

/** Characters that the storage of a tab is bothered with. */
const MOST_KEPT = 1_000_000;

const NONE: readonly SheetFile[] = [];
const byProject = new Map<string, readonly SheetFile[]>();
const listeners = new Set<() => void>();
const keyOf = (project: string) => `mint-lamp/sheets/${project}`;

function kept(project: string): readonly SheetFile[] {
  try {
    return JSON.parse(ofTab.read(keyOf(project)) ?? '[]') as SheetFile[];
  } catch {
    return NONE;
  }
}

function filesOf(project: string): readonly SheetFile[] {
  let files = byProject.get(project);
  if (!files) {
    files = kept(project);
    byProject.set(project, files);
  }
  return files;
}

/** Puts other files in the place of those of a project. They stay while the tab is open. */
export function setSheets(project: string, files: readonly SheetFile[]): void {
  byProject.set(project, files);
  // What is too large for the storage stays for as long as the page is there.
  const size = files.reduce((sum, { text }) => sum + text.length, 0);
  if (size > MOST_KEPT || !ofTab.write(keyOf(project), JSON.stringify(files))) ofTab.remove(keyOf(project));
  for (const listener of listeners) listener();
}

/** Adds files in the order of their names; one of a name that is there takes its place. What is too much is told. */
export function addSheets(project: string, added: readonly SheetFile[]): string | null {
  const files = new Map(filesOf(project).map((file) => [file.name, file]));
  for (const file of added) files.set(file.name, file);
  const all = [...files.values()];
  if (all.length > MOST_FILES)
    return `${all.length} files are more than the ${MOST_FILES} that are read together.`;
  const bytes = all.reduce((sum, { text }) => sum + text.length, 0);
  if (bytes > MOST_BYTES)
    return `Together they have ${(bytes / 1e6).toFixed(1)} MB; at most ${MOST_BYTES / 1e6} are read.`;
  setSheets(project, all);
  return null;
}

/** The files whose colours are read as a system. */
export const useSheetFiles = (project: string): readonly SheetFile[] =>
  useSyncExternalStore(
    (listener) => {
      listeners.add(listener);
      return () => listeners.delete(listener);
    },
    () => filesOf(project),
  );
