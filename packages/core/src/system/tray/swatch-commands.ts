import type { StepsOf, WordsOf } from '../commands/definition.ts';
import { indexOf, inserted, moved, replaced, without } from '../commands/lists.ts';
import type { ProjectDocument } from '../document.ts';
import { checkLength, nameIn } from '../names.ts';
import { MOST_SWATCHES, type Swatch } from './swatch.ts';

export type SwatchCommand =
  | { readonly type: 'addSwatch'; readonly swatch: Swatch; readonly index?: number }
  | { readonly type: 'removeSwatch'; readonly swatch: string }
  | { readonly type: 'renameSwatch'; readonly swatch: string; readonly name: string }
  | { readonly type: 'moveSwatch'; readonly swatch: string; readonly index: number }
  | { readonly type: 'setSwatch'; readonly swatch: string; readonly color: string };

function change(doc: ProjectDocument, id: string, part: Partial<Swatch>): [ProjectDocument, Swatch] {
  const index = indexOf(doc.tray, id, 'swatch');
  const old = doc.tray[index]!;
  return [{ ...doc, tray: replaced(doc.tray, index, { ...old, ...part }) }, old];
}

export const swatchSteps: StepsOf<SwatchCommand> = {
  addSwatch: (doc, { swatch, index }) => [
    { ...doc, tray: inserted(doc.tray, swatch, index, MOST_SWATCHES, 'swatch') },
    { type: 'removeSwatch', swatch: swatch.id },
  ],

  removeSwatch(doc, { swatch }) {
    const index = indexOf(doc.tray, swatch, 'swatch');
    return [
      { ...doc, tray: without(doc.tray, index) },
      { type: 'addSwatch', swatch: doc.tray[index]!, index },
    ];
  },

  renameSwatch(doc, { swatch, name }) {
    checkLength(name);
    const [next, old] = change(doc, swatch, { name });
    return [next, { type: 'renameSwatch', swatch, name: old.name }];
  },

  moveSwatch(doc, { swatch, index }) {
    const from = indexOf(doc.tray, swatch, 'swatch');
    return [
      { ...doc, tray: moved(doc.tray, from, index) },
      { type: 'moveSwatch', swatch, index: from },
    ];
  },

  setSwatch(doc, { swatch, color }) {
    const [next, old] = change(doc, swatch, { color });
    return [next, { type: 'setSwatch', swatch, color: old.color }];
  },
};

export const swatchWords: WordsOf<SwatchCommand> = {
  addSwatch: (_, { swatch }) => `add ${swatch.name} to the tray`,
  removeSwatch: (doc, { swatch }) => `take ${nameIn(doc.tray, swatch)} out of the tray`,
  renameSwatch: (doc, { swatch, name }) => `rename ${nameIn(doc.tray, swatch)} to ${name}`,
  moveSwatch: (doc, { swatch }) => `move ${nameIn(doc.tray, swatch)} in the tray`,
  setSwatch: (doc, { swatch }) => `change ${nameIn(doc.tray, swatch)}`,
};
