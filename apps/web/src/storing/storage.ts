/** The browser's storage, which may be forbidden or full: reading finds nothing then, and writing says that it failed. */
export interface SafeStorage {
  read(key: string): string | null;
  write(key: string, value: string): boolean;
  remove(key: string): void;
  keys(): string[];
}

function safe(storage: () => Storage): SafeStorage {
  const attempt = <T>(what: (storage: Storage) => T, otherwise: T): T => {
    try {
      return what(storage());
    } catch {
      return otherwise;
    }
  };
  return {
    read: (key) => attempt((s) => s.getItem(key), null),
    write: (key, value) =>
      attempt((s) => {
        s.setItem(key, value);
        return true;
      }, false),
    remove: (key) => attempt((s) => s.removeItem(key), undefined),
    keys: () => attempt((s) => Object.keys(s), []),
  };
}

/** Outlives the tab. */
export const lasting = safe(() => localStorage);
/** Lasts as long as the tab. */
export const ofTab = safe(() => sessionStorage);
