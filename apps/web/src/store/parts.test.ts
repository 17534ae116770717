import type { Command } from '@mint-lamp/core/system/commands/command';
import { describe, expect, it } from 'vitest';
import { firstPart } from './parts.ts';

const one: Command = { type: 'renameProject', name: 'x' };
const batch = (n: number): Command => ({ type: 'batch', label: 'x', commands: Array(n).fill(one) });
const unsent = (...commands: Command[]) => commands.map((command, i) => ({ id: String(i), command }));

describe('what goes into one request', () => {
  it('is as many commands as a request takes, those in batches counted, and never none', () => {
    expect(firstPart(unsent(...Array(300).fill(one)))).toHaveLength(200);
    expect(firstPart(unsent(...Array(300).fill(one)), 7)).toHaveLength(7);
    expect(firstPart(unsent(one, batch(2000), batch(400), batch(400)))).toHaveLength(3);
    expect(firstPart(unsent(batch(2000), batch(2000)))).toHaveLength(1);
    expect(firstPart(unsent(batch(9000)), 0)).toHaveLength(1);
    expect(firstPart([])).toEqual([]);
  });
});
