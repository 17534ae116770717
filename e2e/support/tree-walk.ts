import { expect, type Page } from '@playwright/test';

/** What a walk tells of: where one is, what it is called, what can be done there and what is said. */
const TOLD =
  /^(\s*)- (banner|navigation|main|complementary|region|heading|button|link|textbox|searchbox|combobox|checkbox|radio|radiogroup|slider|switch|tab|status|alert|list|table|grid|listbox)\b/;
/** Whose contents are many of one kind: how many there are is told, and no more. */
const MANY = /^(\s*)- (list|table|grid|listbox|rowgroup)\b/;

/** A line whose name holds a colon is written in quotes. */
const unquoted = (line: string) =>
  line.replace(/^(\s*- )'(.*)'(:?.*)$/, (_, start, said, rest) => start + said.replaceAll("''", "'") + rest);

/** A walk through the tree as a screen reader goes: a line each, indented by where it stands. */
function walkOf(snapshot: string): string {
  const out: string[] = [];
  let within: { depth: number; count: number; at: number } | null = null;
  const close = () => {
    if (within?.count) out[within.at] += ` (${within.count})`;
    within = null;
  };
  for (const written of snapshot.split('\n')) {
    const line = unquoted(written);
    const depth = /^\s*/.exec(line)![0].length;
    if (within && depth <= within.depth) close();
    if (within) {
      if (depth === within.depth + 2 && /- (listitem|row|option)\b/.test(line)) within.count += 1;
      continue;
    }
    if (!TOLD.test(line)) continue;
    const told = line
      .replace(/:$/, '')
      .replace(/ \[(?:ref|cursor)=[^\]]*\]/g, '')
      .replace(/(\d+) (seconds?|minutes?|hours?) ago/, '… ago');
    out.push(told);
    if (MANY.test(line)) within = { depth, count: 0, at: out.length - 1 };
  }
  close();
  return out.join('\n');
}

/** The walk through the page once it stays as it is. */
export async function treeWalk(page: Page): Promise<string> {
  let last = '';
  await expect
    .poll(async () => {
      const before = last;
      last = walkOf(await page.locator('#root').ariaSnapshot());
      return last === before;
    })
    .toBe(true);
  return `${last}\n`;
}
