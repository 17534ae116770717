import { type Family, LIMITS, type ProjectDocument } from '../document.ts';
import type { CommandOf } from './command.ts';
import { indexOf, inserted, moved, omit, Refusal, replaced, without } from './lists.ts';
import { checkName } from './naming.ts';
import type { Step } from './step.ts';

const change = (doc: ProjectDocument, index: number, part: Partial<Family>): ProjectDocument => ({
  ...doc,
  families: replaced(doc.families, index, { ...doc.families[index]!, ...part }),
});

export function addFamily(doc: ProjectDocument, { family, index }: CommandOf<'addFamily'>): Step {
  checkName(family.name, doc.families, family.id, 'family');
  return [
    { ...doc, families: inserted(doc.families, family, index, LIMITS.families, 'family') },
    { type: 'removeFamily', family: family.id },
  ];
}

export function removeFamily(doc: ProjectDocument, { family }: CommandOf<'removeFamily'>): Step {
  const index = indexOf(doc.families, family, 'family');
  return [
    { ...doc, families: without(doc.families, index) },
    { type: 'addFamily', family: doc.families[index]!, index },
  ];
}

export function renameFamily(doc: ProjectDocument, { family, name }: CommandOf<'renameFamily'>): Step {
  const index = indexOf(doc.families, family, 'family');
  checkName(name, doc.families, family, 'family');
  return [change(doc, index, { name }), { type: 'renameFamily', family, name: doc.families[index]!.name }];
}

export function moveFamily(doc: ProjectDocument, { family, index }: CommandOf<'moveFamily'>): Step {
  const from = indexOf(doc.families, family, 'family');
  return [
    { ...doc, families: moved(doc.families, from, index) },
    { type: 'moveFamily', family, index: from },
  ];
}

export function setBase(doc: ProjectDocument, { family, color }: CommandOf<'setBase'>): Step {
  const index = indexOf(doc.families, family, 'family');
  return [change(doc, index, { base: color }), { type: 'setBase', family, color: doc.families[index]!.base }];
}

export function setGrowth(doc: ProjectDocument, { family, growth }: CommandOf<'setGrowth'>): Step {
  const index = indexOf(doc.families, family, 'family');
  return [change(doc, index, { growth }), { type: 'setGrowth', family, growth: doc.families[index]!.growth }];
}

export function setShade(doc: ProjectDocument, { family, shade, color }: CommandOf<'setShade'>): Step {
  const index = indexOf(doc.families, family, 'family');
  const { growth, handSet } = doc.families[index]!;
  const old = handSet[shade] ?? null;
  // A hand-set colour may outlive its label when the growth changes, and can then still be taken away.
  if (!growth.labels.includes(shade) && old === null)
    throw new Refusal(`This family has no shade ${shade} any more.`);
  const next = color === null ? omit(handSet, shade) : { ...handSet, [shade]: color };
  return [change(doc, index, { handSet: next }), { type: 'setShade', family, shade, color: old }];
}
