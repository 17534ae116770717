/** A browser that files are tried in: it loads pages, answers for them, and photographs them. */
export interface Engine {
  readonly name: string;
  goto: (address: string) => Promise<void>;
  /** What an expression comes to in the page, which is plain data. */
  evaluate: <T>(expression: string) => Promise<T>;
  /** A PNG of what the window shows. */
  screenshot: () => Promise<Buffer>;
  close: () => Promise<void>;
}

/** What `check` comes to when it is something; fails with `what` after 30 seconds. */
export async function waitFor<T>(what: string, check: () => Promise<T | null>): Promise<T> {
  const end = Date.now() + 30_000;
  for (;;) {
    const value = await check();
    if (value !== null) return value;
    if (Date.now() > end) throw new Error(`${what} did not come within 30 seconds.`);
    await new Promise((resolve) => setTimeout(resolve, 50));
  }
}
