import { describe, expect, it } from 'vitest';
import { SKERRY_LINE } from '../demo/skerry-line.ts';
import { applyCommand } from '../document/commands/apply.ts';
import type { Command } from '../document/commands/command.ts';
import type { ProjectDocument } from '../document/document.ts';
import type { ProposedCommand } from '../wire/shares.ts';
import { lastOfEach, presentOf, takenParts, weighProposal } from './weighed-proposal.ts';

const after = (document: ProjectDocument, ...commands: readonly Command[]) =>
  commands.reduce((now, command) => {
    const result = applyCommand(now, command);
    if (!result.ok) throw new Error(result.reason);
    return result.document;
  }, document);

const [deepwater, buoy, kelp] = SKERRY_LINE.families.map(({ id }) => id) as [string, string, string];
const [, first, second] = SKERRY_LINE.roles.map(({ id }) => id) as [string, string, string];
const theme = SKERRY_LINE.themes[0]!.id;
const base = (family: string, color: string): ProposedCommand => ({ type: 'setBase', family, color });
const link = (role: string, to: Extract<ProposedCommand, { type: 'setLink' }>['link']): ProposedCommand => ({
  type: 'setLink',
  role,
  theme,
  link: to,
});
const partsOf = (...commands: ProposedCommand[]) =>
  commands.map((command) => ({ command, then: presentOf(SKERRY_LINE, command) }));

describe('a proposal held against the project as it went on', () => {
  const proposal = partsOf(
    base(deepwater, '#102a60'),
    base(buoy, '#d04020'),
    base(kelp, '#207040'),
    link(first, { to: 'color', color: '#101010' }),
  );
  const now = after(SKERRY_LINE, base(buoy, '#c03010'), base(kelp, '#207040'), {
    type: 'removeRole',
    role: first,
  } as Command);

  it('says what fits, what is so already, what moved and what is gone, with the reason', () => {
    expect(weighProposal(now, proposal).map(({ stands, moved }) => [stands, moved])).toEqual([
      ['fits', false],
      ['fits', true],
      ['same', true],
      ['gone', false],
    ]);
    expect(weighProposal(now, proposal)[3]!.reason).toMatch(/role/);
  });

  it('is taken whole but for what does not fit, or in part', () => {
    const whole = takenParts(
      now,
      proposal.map(({ command }) => command),
    );
    expect(whole.refused.map(({ command }) => command)).toEqual([proposal[3]!.command]);
    const bases = whole.document.families.map(({ id, base: color }) => [id, color]);
    expect(bases).toContainEqual([deepwater, '#102a60']);
    expect(bases).toContainEqual([buoy, '#d04020']);
    const one = takenParts(now, [proposal[0]!.command]);
    expect(one.document).toEqual(after(now, base(deepwater, '#102a60')));
    expect(one.refused).toEqual([]);
  });

  it('takes what fits only after another, whatever the order', () => {
    // Each the other way round: the first would make a circle for as long as the second is as it was.
    const before = after(SKERRY_LINE, link(second, { to: 'role', role: first }));
    const turned = [
      link(first, { to: 'role', role: second }),
      link(second, { to: 'color', color: '#202020' }),
    ];
    expect(applyCommand(before, turned[0]!).ok).toBe(false);
    const { refused, document } = takenParts(before, turned);
    expect(refused).toEqual([]);
    expect(document.roles.find(({ id }) => id === first)!.links[theme]).toEqual({ to: 'role', role: second });
  });

  it('refuses a base that follows another by now', () => {
    const follows = after(now, {
      type: 'setFollows',
      family: deepwater,
      follows: { by: 'hue', family: kelp, turn: 30 },
    } as unknown as Command);
    const [part] = weighProposal(follows, proposal);
    expect([part!.stands, part!.reason]).toEqual(['gone', expect.stringMatching(/follows/)]);
  });
});

it('keeps the last of each thing, in the order in which they came up', () => {
  expect(lastOfEach([base(buoy, '#111111'), base(kelp, '#222222'), base(buoy, '#333333')])).toEqual([
    base(buoy, '#333333'),
    base(kelp, '#222222'),
  ]);
});
