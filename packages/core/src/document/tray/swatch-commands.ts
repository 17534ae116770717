import type { StepsOf, WordsOf } from '../commands/definition.ts';
import { indexOf, inserted, moved, replaced, without } from '../commands/lists.ts';
import { Refusal } from '../commands/refusal.ts';
import { checkLength, nameIn } from '../naming/names.ts';
import { MOST_SWATCHES, type Swatch } from './swatch.ts';

/** What these commands look at. */
export interface TrayList {
  readonly tray: readonly Swatch[];
}

export type SwatchCommand =
  | { readonly type: 'addSwatch'; readonly swatch: Swatch; readonly index?: number }
  | { readonly type: 'removeSwatch'; readonly swatch: string }
  | { readonly type: 'renameSwatch'; readonly swatch: string; readonly name: string }
  /** To a place among all in the tray; into a group where one is given (empty: out of its group). */
  | { readonly type: 'moveSwatch'; readonly swatch: string; readonly index: number; readonly group?: string }
  | { readonly type: 'renameSwatchGroup'; readonly from: string; readonly to: string }
  /** A new order, with the group of each; what is not named stays behind these, in its order. */
  | { readonly type: 'arrangeTray'; readonly order: readonly SwatchPlace[] }
  | { readonly type: 'setSwatch'; readonly swatch: string; readonly color: string };

/** Where a colour of the tray lies. */
export interface SwatchPlace {
  readonly swatch: string;
  readonly group: string;
}

const placesOf = (tray: readonly Swatch[]): SwatchPlace[] =>
  tray.map(({ id, group }) => ({ swatch: id, group }));

function change(doc: TrayList, id: string, part: Partial<Swatch>): [TrayList, Swatch] {
  const index = indexOf(doc.tray, id, 'swatch');
  const old = doc.tray[index]!;
  return [{ tray: replaced(doc.tray, index, { ...old, ...part }) }, old];
}

export const swatchSteps: StepsOf<SwatchCommand, TrayList> = {
  addSwatch: (doc, { swatch, index }) => [
    { tray: inserted(doc.tray, swatch, index, MOST_SWATCHES, 'swatch') },
    { type: 'removeSwatch', swatch: swatch.id },
  ],

  removeSwatch(doc, { swatch }) {
    const index = indexOf(doc.tray, swatch, 'swatch');
    return [{ tray: without(doc.tray, index) }, { type: 'addSwatch', swatch: doc.tray[index]!, index }];
  },

  renameSwatch(doc, { swatch, name }) {
    checkLength(name);
    const [next, old] = change(doc, swatch, { name });
    return [next, { type: 'renameSwatch', swatch, name: old.name }];
  },

  moveSwatch(doc, { swatch, index, group }) {
    checkLength(group ?? '');
    const from = indexOf(doc.tray, swatch, 'swatch');
    const old = doc.tray[from]!;
    const tray = group === undefined ? doc.tray : replaced(doc.tray, from, { ...old, group });
    return [
      { tray: moved(tray, from, index) },
      { type: 'moveSwatch', swatch, index: from, ...(group === undefined ? {} : { group: old.group }) },
    ];
  },

  renameSwatchGroup(doc, { from, to }) {
    checkLength(to);
    if (!doc.tray.some(({ group }) => group === from))
      throw new Refusal(`There is no group ${from || 'without a name'} in the tray any more.`);
    const joins = from !== to && doc.tray.some(({ group }) => group === to);
    const tray = doc.tray.map((swatch) => (swatch.group === from ? { ...swatch, group: to } : swatch));
    return [
      { tray },
      // One that joins another group comes apart again colour by colour.
      joins
        ? { type: 'arrangeTray', order: placesOf(doc.tray) }
        : { type: 'renameSwatchGroup', from: to, to: from },
    ];
  },

  arrangeTray(doc, { order }) {
    const left = new Map(doc.tray.map((swatch) => [swatch.id, swatch]));
    const placed: Swatch[] = [];
    for (const { swatch, group } of order) {
      checkLength(group);
      const item = left.get(swatch);
      if (!item) continue;
      left.delete(swatch);
      placed.push(item.group === group ? item : { ...item, group });
    }
    if (!placed.length) throw new Refusal('None of these colours is in the tray any more.');
    return [{ tray: [...placed, ...left.values()] }, { type: 'arrangeTray', order: placesOf(doc.tray) }];
  },

  setSwatch(doc, { swatch, color }) {
    const [next, old] = change(doc, swatch, { color });
    return [next, { type: 'setSwatch', swatch, color: old.color }];
  },
};

export const swatchWords: WordsOf<SwatchCommand, TrayList> = {
  addSwatch: (_, { swatch }) => `add ${swatch.name} to the tray`,
  removeSwatch: (doc, { swatch }) => `remove ${nameIn(doc.tray, swatch)} from the tray`,
  renameSwatch: (doc, { swatch, name }) => `rename ${nameIn(doc.tray, swatch)} to ${name}`,
  renameSwatchGroup: (_, { from, to }) =>
    from
      ? to
        ? `rename the tray group ${from} to ${to}`
        : `dissolve the tray group ${from}`
      : `group as ${to}`,
  arrangeTray: () => 'arrange the tray',
  moveSwatch: (doc, { swatch }) => `move ${nameIn(doc.tray, swatch)} in the tray`,
  setSwatch: (doc, { swatch }) => `change ${nameIn(doc.tray, swatch)}`,
};
