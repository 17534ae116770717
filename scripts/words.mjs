import { readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { allPhrases } from './phrases.mjs';
import { ROOT } from './setup/run.mjs';

// npm run words: writes every phrase of the product into docs/words.md, to be read as a whole. `{…}` stands for what is
// put in; a phrase that has been put otherwise has its old wording behind it. A test keeps the list as the sources are.
const LIST = join(ROOT, 'docs/words.md');

/** What was said before, by what is said now. */
export const renamed = () =>
  new Map(Object.entries(JSON.parse(readFileSync(join(ROOT, 'scripts/words-before.json'), 'utf8'))));

const PARTS = [
  ['apps/web/src/', 'What the interface says'],
  ['packages/core/src/', 'What the core says: reasons, steps, names of things'],
  ['apps/server/src/', 'What the server says: refusals and letters'],
];

/** The list as the sources are now. */
export function wordsList() {
  const before = renamed();
  const phrases = allPhrases();
  const lines = [
    '# Every phrase',
    '',
    'Written by `npm run words` from the sources, by the file that each phrase is in; `{…}` stands for what is put in, and ← for how it was put before.',
  ];
  for (const [folder, title] of PARTS) {
    lines.push('', `## ${title}`);
    for (const [file, said] of phrases) {
      if (!file.startsWith(folder)) continue;
      lines.push('', `### ${file.slice(folder.length)}`, '');
      for (const one of said) {
        const old = before.get(one);
        lines.push(`    ${one}${old ? ` ← ${old}` : ''}`);
      }
    }
  }
  return `${lines.join('\n')}\n`;
}

if (process.argv[1] === import.meta.filename) writeFileSync(LIST, wordsList());
