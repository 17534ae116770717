import { readFileSync } from 'node:fs';
import { expect, it } from 'vitest';
import { allPhrases } from '../phrases.mjs';
import { renamed, wordsList } from '../words.mjs';

it('has every phrase of the product in the one list; "npm run words" writes it anew', () => {
  expect(readFileSync(new URL('../../docs/words.md', import.meta.url), 'utf8')).toBe(wordsList());
});

it('says nothing any more that has been put otherwise', () => {
  const said = new Set([...allPhrases().values()].flat());
  // Words that are still right elsewhere.
  const elsewhere = new Set(['Take {…}', '{…} over', 'Give up', 'Whole', 'Settled', 'settled', 'Turn round']);
  const back = [...renamed().values()].filter((old) => said.has(old) && !elsewhere.has(old));
  expect(back).toEqual([]);
});
