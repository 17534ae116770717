import { describe, expect, it } from 'vitest';
import { SKERRY_LINE } from '../../demo/skerry-line.ts';
import { after } from '../commands/after.fixture.ts';
import { suggestedPairs } from '../pairs/suggested-pairs.ts';
import { readoutOf } from '../readout/readout.ts';
import { resolveSystem } from '../resolve/resolve.ts';
import { writeRoleName } from './role-name.ts';
import { starterRoles } from './starter-roles.ts';

describe('suggestions', () => {
  it('give a project with one family roles and pairs that all pass', () => {
    let n = 0;
    const newId = () => `n${++n}`;
    const bare = { ...SKERRY_LINE, ground: null, roles: [], pairs: [], gradients: [] };
    const doc = after(bare, { type: 'batch', label: 'x', commands: starterRoles(bare, newId) });
    expect(doc.roles.map(writeRoleName)).toContain('text.main');
    expect(doc.ground).toBe(doc.roles[0]!.id);
    const pairs = suggestedPairs(doc, newId);
    expect(pairs).toHaveLength(6);
    const paired = after(doc, {
      type: 'batch',
      label: 'x',
      commands: pairs.map((pair) => ({ type: 'addPair', pair })),
    });
    expect(readoutOf(resolveSystem(paired)).passingOverall).toBe(12);
    expect(suggestedPairs(paired, newId)).toEqual([]);
    expect(starterRoles(doc, newId)).toEqual([]);
    expect(starterRoles({ ...bare, families: [] }, newId)).toEqual([]);
  });
});
