/** A browser's storage, as far as the store needs it, for tests. */
export class MemoryStorage {
  [key: string]: unknown;
  getItem(key: string) {
    return (this[key] as string | undefined) ?? null;
  }
  setItem(key: string, value: string) {
    this[key] = value;
  }
  removeItem(key: string) {
    delete this[key];
  }
}
