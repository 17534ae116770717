import type { ChangesSince } from './changes-since.ts';

/** A name to look for, as a regular expression that takes no longer name for it, and what to put there. */
export interface SearchPair {
  readonly search: string;
  readonly replace: string;
}

const escaped = (text: string) => text.replace(/[.*+?^${}()|[\]\\]/g, '\\$&');

/** The names that are written otherwise now, and those that are gone with something instead, longest first. */
export function searchPairs({ renamed, removed }: ChangesSince): SearchPair[] {
  const pairs = [
    ...renamed.map(({ kind, from, to }) =>
      kind === 'property'
        ? { from, to, search: `${escaped(from)}(?![\\w-])`, replace: to }
        : { from, to, search: `data-theme="${escaped(from)}"`, replace: `data-theme="${to}"` },
    ),
    ...removed.flatMap(({ property, instead }) =>
      instead === null
        ? []
        : [{ from: property, to: instead, search: `${escaped(property)}(?![\\w-])`, replace: instead }],
    ),
  ];
  return pairs
    .sort((a, b) => b.from.length - a.from.length)
    .map(({ search, replace }) => ({ search, replace }));
}

/** A script without a dependency that puts all new names into files in one pass, so that names that change places do. */
export function writeRenameScript(project: string, changes: ChangesSince): string {
  const pairs = searchPairs(changes);
  return `// New names of ${project.replace(/[\s\u2028\u2029]+/gu, ' ')} in your files, written by Mint Lamp.
// Run it on them: node rename-colours.mjs src/*.css
import { readFileSync, writeFileSync } from 'node:fs';

const PAIRS = ${JSON.stringify(pairs, null, 2).replaceAll('\u2028', '\\u2028').replaceAll('\u2029', '\\u2029')};

const any = PAIRS.length ? new RegExp(PAIRS.map(({ search }) => '(' + search + ')').join('|'), 'gu') : null;
for (const file of process.argv.slice(2)) {
  const before = readFileSync(file, 'utf8');
  let count = 0;
  const after = any
    ? before.replace(any, (...found) => {
        count += 1;
        return PAIRS[found.slice(1, PAIRS.length + 1).findIndex((one) => one !== undefined)].replace;
      })
    : before;
  if (after !== before) writeFileSync(file, after);
  console.log(file + ': ' + count);
}
`;
}
