import { usageOf } from '../../document/coherence/role-use.ts';
import type { ProjectDocument } from '../../document/document.ts';
import type { Pair } from '../../document/pairs/pair.ts';
import { wordsOf } from '../../document/project/sample-words.ts';

/** The words that a pair is shown with: its own, else the project's; on what is pressed, those for actions. */
export function sampleOf(document: ProjectDocument, pair: Pick<Pair, 'background' | 'words'>): string {
  if (pair.words !== undefined) return pair.words;
  const { text, action } = wordsOf(document);
  const ground = document.roles.find(({ id }) => id === pair.background);
  return ground && usageOf(ground, document.pairs) === 'fill' ? action : text;
}
