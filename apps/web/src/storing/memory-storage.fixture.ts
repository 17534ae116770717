/** A browser's storage, as far as the store needs it, for tests. `room`: characters that it holds at most. */
export class MemoryStorage {
  [key: string]: unknown;
  constructor(room = Number.POSITIVE_INFINITY) {
    Object.defineProperty(this, 'room', { value: room, writable: true });
  }
  getItem(key: string) {
    return (this[key] as string | undefined) ?? null;
  }
  setItem(key: string, value: string) {
    const others = Object.keys(this).filter((other) => other !== key);
    const used = others.reduce((sum, other) => sum + other.length + (this[other] as string).length, 0);
    if (used + key.length + value.length > (this.room as number))
      throw new DOMException('full', 'QuotaExceededError');
    this[key] = value;
  }
  removeItem(key: string) {
    delete this[key];
  }
}
