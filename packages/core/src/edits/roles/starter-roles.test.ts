import { describe, expect, it } from 'vitest';
import { SKERRY_LINE } from '../../demo/skerry-line.ts';
import { after } from '../../document/commands/after.fixture.ts';
import { writeRoleName } from '../../document/naming/role-name.ts';
import { suggestedPairs } from '../../judged/pairs/suggested-pairs.ts';
import { readoutOf } from '../../judged/readout/readout.ts';
import { resolveSystem } from '../../system/resolve.ts';
import { STARTER_PARTS } from './starter-parts.ts';
import { starterRoles } from './starter-roles.ts';

describe('suggestions', () => {
  it('give a project with one family roles and pairs that all pass', () => {
    let n = 0;
    const newId = () => `n${++n}`;
    const bare = { ...SKERRY_LINE, ground: null, roles: [], pairs: [], gradients: [] };
    const usual = new Set(STARTER_PARTS.filter((part) => part !== 'notice' && part !== 'accent'));
    const { commands } = starterRoles(bare, usual, newId);
    const doc = after(bare, { type: 'batch', label: 'x', commands });
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
    expect(starterRoles(doc, usual, newId).commands).toEqual([]);
    expect(starterRoles({ ...bare, families: [] }, usual, newId).commands).toEqual([]);
  });

  it('are filled part by part from the families there are, by their hues, and say what none does for', () => {
    const bare = { ...SKERRY_LINE, ground: null, roles: [], pairs: [], gradients: [] };
    let n = 0;
    const newId = () => `n${++n}`;
    const notices = starterRoles(bare, new Set(['notice', 'accent'] as const), newId);
    expect(notices.lacking).toEqual([]);
    const linked = Object.fromEntries(
      notices.commands.flatMap((command) =>
        command.type === 'addRole' && command.role.name === 'text'
          ? [[writeRoleName(command.role), command.role.links.day]]
          : [],
      ),
    );
    expect(linked).toMatchObject({
      'notice.good.text': { family: 'kelp' },
      'notice.warning.text': { family: 'lantern' },
      'notice.danger.text': { family: expect.stringMatching(/buoy|flare/) },
    });
    const one = { ...bare, families: bare.families.filter(({ id }) => id === 'deepwater') };
    expect(starterRoles(one, new Set(['notice', 'text'] as const), newId)).toMatchObject({
      names: ['text.main', 'text.quiet'],
      lacking: [
        'notice.good.ground',
        'notice.good.text',
        'notice.warning.ground',
        'notice.warning.text',
        'notice.danger.ground',
        'notice.danger.text',
      ],
    });
  });
});
