import { describe, expect, it } from 'vitest';
import { readColor } from '../color/parse.ts';
import { SKERRY_LINE } from '../demo/skerry-line.ts';
import { applyCommand } from '../document/commands/apply.ts';
import type { Command } from '../document/commands/command.ts';
import type { ProjectDocument } from '../document/document.ts';
import { nameOf } from '../names/names.ts';
import { withNamesFollowing } from './names-follow.ts';

const of = (color: string) => nameOf(readColor(color));
const apply = (doc: ProjectDocument, command: Command) => {
  const result = applyCommand(doc, command);
  if (!result.ok) throw new Error(result.reason);
  return result;
};
const change = (doc: ProjectDocument, command: Command) =>
  apply(doc, withNamesFollowing(doc, command, of)).document;

const RED = '#c8102e';
const GREEN = '#2f6f4e';
const doc: ProjectDocument = {
  ...SKERRY_LINE,
  tray: [
    { id: 'given', name: of(RED), color: RED, group: '', added: 0 },
    { id: 'second', name: `${of(RED)} 2`, color: RED, group: '', added: 0 },
    { id: 'typed', name: 'Hull red', color: RED, group: '', added: 0 },
  ],
  families: SKERRY_LINE.families.map((family, i) =>
    i === 0 ? { ...family, name: of(RED), base: RED, follows: null } : family,
  ),
};
const family = doc.families[0]!.id;
const names = ({ tray }: ProjectDocument) => Object.fromEntries(tray.map(({ id, name }) => [id, name]));

describe('a name that nobody typed', () => {
  it('follows its colour in the tray; one that somebody typed stays', () => {
    expect(of(GREEN)).not.toBe(of(RED));
    let next = doc;
    for (const swatch of ['given', 'second', 'typed'])
      next = change(next, { type: 'setSwatch', swatch, color: GREEN });
    expect(names(next)).toEqual({ given: of(GREEN), second: of(GREEN), typed: 'Hull red' });
  });

  it('follows the base of a family, and is free among the others', () => {
    const taken = change(doc, { type: 'renameFamily', family: doc.families[1]!.id, name: of(GREEN) });
    const next = change(taken, { type: 'setBase', family, color: GREEN });
    expect(next.families[0]).toMatchObject({ base: GREEN, name: `${of(GREEN)} 2` });
    const other = change(doc, { type: 'renameFamily', family, name: 'Brand' });
    expect(change(other, { type: 'setBase', family, color: GREEN }).families[0]!.name).toBe('Brand');
  });

  it('goes back with one undo, and is not touched where the edit names it itself', () => {
    const { document, inverse } = apply(
      doc,
      withNamesFollowing(doc, { type: 'setSwatch', swatch: 'given', color: GREEN }, of),
    );
    expect(apply(document, inverse).document).toEqual(doc);
    const both: Command = {
      type: 'batch',
      label: 'change and name',
      commands: [
        { type: 'setSwatch', swatch: 'given', color: GREEN },
        { type: 'renameSwatch', swatch: 'given', name: 'Buoy' },
      ],
    };
    expect(withNamesFollowing(doc, both, of)).toBe(both);
    const near: Command = { type: 'setSwatch', swatch: 'given', color: RED };
    expect(withNamesFollowing(doc, near, of)).toBe(near);
  });
});
