import { LIMITS, type Pair, type ProjectDocument, type Swatch } from '../document.ts';
import type { CommandOf, PairChange } from './command.ts';
import { indexOf, inserted, moved, Refusal, replaced, without } from './lists.ts';
import { checkLength } from './naming.ts';
import type { Step } from './step.ts';

export function addPair(doc: ProjectDocument, { pair, index }: CommandOf<'addPair'>): Step {
  if (pair.foreground === pair.background) throw new Refusal('A pair needs two different roles.');
  return [
    { ...doc, pairs: inserted(doc.pairs, pair, index, LIMITS.pairs, 'pair') },
    { type: 'removePair', pair: pair.id },
  ];
}

export function removePair(doc: ProjectDocument, { pair }: CommandOf<'removePair'>): Step {
  const index = indexOf(doc.pairs, pair, 'pair');
  return [
    { ...doc, pairs: without(doc.pairs, index) },
    { type: 'addPair', pair: doc.pairs[index]!, index },
  ];
}

export function setPair(doc: ProjectDocument, { pair, change }: CommandOf<'setPair'>): Step {
  const index = indexOf(doc.pairs, pair, 'pair');
  const old = doc.pairs[index]!;
  const next: Pair = { ...old, ...change };
  if (next.foreground === next.background) throw new Refusal('A pair needs two different roles.');
  const back: PairChange = Object.fromEntries(
    Object.keys(change).map((key) => [key, old[key as keyof PairChange]]),
  );
  return [
    { ...doc, pairs: replaced(doc.pairs, index, next) },
    { type: 'setPair', pair, change: back },
  ];
}

export function addSwatch(doc: ProjectDocument, { swatch, index }: CommandOf<'addSwatch'>): Step {
  return [
    { ...doc, tray: inserted(doc.tray, swatch, index, LIMITS.tray, 'swatch') },
    { type: 'removeSwatch', swatch: swatch.id },
  ];
}

export function removeSwatch(doc: ProjectDocument, { swatch }: CommandOf<'removeSwatch'>): Step {
  const index = indexOf(doc.tray, swatch, 'swatch');
  return [
    { ...doc, tray: without(doc.tray, index) },
    { type: 'addSwatch', swatch: doc.tray[index]!, index },
  ];
}

function changeSwatch(doc: ProjectDocument, id: string, part: Partial<Swatch>): [ProjectDocument, Swatch] {
  const index = indexOf(doc.tray, id, 'swatch');
  const old = doc.tray[index]!;
  return [{ ...doc, tray: replaced(doc.tray, index, { ...old, ...part }) }, old];
}

export function renameSwatch(doc: ProjectDocument, { swatch, name }: CommandOf<'renameSwatch'>): Step {
  checkLength(name);
  const [next, old] = changeSwatch(doc, swatch, { name });
  return [next, { type: 'renameSwatch', swatch, name: old.name }];
}

export function setSwatch(doc: ProjectDocument, { swatch, color }: CommandOf<'setSwatch'>): Step {
  const [next, old] = changeSwatch(doc, swatch, { color });
  return [next, { type: 'setSwatch', swatch, color: old.color }];
}

export function moveSwatch(doc: ProjectDocument, { swatch, index }: CommandOf<'moveSwatch'>): Step {
  const from = indexOf(doc.tray, swatch, 'swatch');
  return [
    { ...doc, tray: moved(doc.tray, from, index) },
    { type: 'moveSwatch', swatch, index: from },
  ];
}
