export interface FolderLock {
  /** What others who ask for the folder are told. */
  say(words: string): void;
  release(): Promise<unknown>;
}
export function holdFolder(folder: string): Promise<FolderLock>;
