/** Lets a few at a time do something that needs much memory; the others wait in the order in which they came. */
export class Slots {
  private free: number;
  private readonly waiting: (() => void)[] = [];

  constructor(count: number) {
    this.free = count;
  }

  async take(): Promise<void> {
    if (this.free > 0) this.free -= 1;
    else await new Promise<void>((resolve) => this.waiting.push(resolve));
  }

  give(): void {
    const next = this.waiting.shift();
    if (next) next();
    else this.free += 1;
  }
}
