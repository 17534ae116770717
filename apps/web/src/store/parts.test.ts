import type { Command } from '@mint-lamp/core/document/commands/command';
import { describe, expect, it } from 'vitest';
import { firstPart, Parcels } from './parts.ts';

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

  it('is halved until the command at fault stands alone, and grows again behind it', () => {
    const parcels = new Parcels();
    let left = unsent(...Array(200).fill(one));
    const isBad = ({ id }: { id: string }) => id === '137';
    let requests = 0;
    let failures = 0;
    while (left.length) {
      const part = parcels.next(left);
      requests += 1;
      if (!part.some(isBad)) {
        parcels.wentThrough();
        left = left.slice(part.length);
        continue;
      }
      failures = parcels.failed(part);
      if (failures === 3) left = left.filter((command) => !isBad(command));
    }
    expect(failures).toBe(3);
    expect(requests).toBeLessThan(40);
  });
});
