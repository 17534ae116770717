/** How long one request is worked on before others have their turn, ms. */
const LONGEST_TURN_MS = 20;

/** Long work that lets others have their turn: `yieldTurn` is awaited between its parts. */
export class Turns {
  private since = performance.now();

  async yieldTurn(): Promise<void> {
    if (performance.now() - this.since <= LONGEST_TURN_MS) return;
    await new Promise<void>((resolve) => setImmediate(resolve));
    this.since = performance.now();
  }
}
