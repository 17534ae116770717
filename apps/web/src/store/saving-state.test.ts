import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { isOver, type SavingEvent, type SavingState, savingAfter } from './saving-state.ts';

const EVENTS: readonly SavingEvent[] = [
  'edited',
  'sent',
  'answered',
  'settled',
  'refused',
  'mended',
  'lost',
  'outdated',
  'removed',
];
const events = fc.array(fc.constantFrom(...EVENTS), { maxLength: 40 });
const through = (from: SavingState, path: readonly SavingEvent[]) => path.reduce(savingAfter, from);

describe('how a project stands with the server', () => {
  it.each<[string, SavingState, SavingEvent[], SavingState]>([
    ['an edit is sent and arrives', 'idle', ['edited', 'sent', 'settled'], 'idle'],
    ['an edit made meanwhile goes after it', 'sending', ['edited', 'answered', 'sent'], 'sending'],
    ['a refused edit goes and the rest is sent', 'sending', ['refused', 'mended', 'sent', 'settled'], 'idle'],
    ['the only edit was refused', 'sending', ['refused', 'settled'], 'idle'],
    ['a try while the server is away changes nothing', 'sending', ['lost', 'sent', 'lost', 'sent'], 'away'],
    ['edits while it is away change nothing', 'away', ['edited', 'edited'], 'away'],
    ['it is back and there is more', 'away', ['sent', 'answered', 'sent', 'settled'], 'idle'],
    ['it is back with a no', 'away', ['sent', 'refused', 'mended'], 'waiting'],
    ['it goes away while a no is dealt with', 'sending', ['refused', 'lost'], 'away'],
    ['news cannot be had', 'idle', ['lost', 'settled'], 'idle'],
    ['the page is outdated', 'sending', ['outdated', 'edited', 'settled'], 'outdated'],
    ['the project is gone', 'away', ['removed', 'edited', 'sent'], 'gone'],
    ['what can only be looked at is never sent', 'read-only', ['edited', 'sent', 'lost'], 'read-only'],
  ])('%s', (_, from, path, to) => {
    expect(through(from, path)).toBe(to);
  });

  it('never comes back from an end, and reaches one from everywhere else', () => {
    fc.assert(
      fc.property(events, events, (before, after) => {
        const state = through('idle', before);
        if (isOver(state)) expect(through(state, after)).toBe(state);
        else {
          expect(savingAfter(state, 'removed')).toBe('gone');
          expect(savingAfter(state, 'outdated')).toBe('outdated');
        }
      }),
    );
  });

  it('says that everything has arrived only after it was settled, and until the next edit', () => {
    fc.assert(
      fc.property(events, (path) => {
        const state = through('waiting', path);
        if (state !== 'idle') return;
        const settled = path.lastIndexOf('settled');
        expect(settled).toBeGreaterThanOrEqual(0);
        expect(path.slice(settled)).not.toContain('edited');
      }),
    );
  });
});
