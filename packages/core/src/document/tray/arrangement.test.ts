import { describe, expect, it } from 'vitest';
import { applyCommand } from '../commands/apply.ts';
import type { Command } from '../commands/command.ts';
import { emptyDocument } from '../document.ts';
import { dropCommand, groupCommand, sortCommand, trayAsText } from './arrangement.ts';
import type { Swatch } from './swatch.ts';

const swatch = (id: string, color: string, group = '', added = 0): Swatch => ({
  id,
  name: id.toUpperCase(),
  color,
  group,
  added,
});
const TRAY = [
  swatch('sea', '#0b5f6b', '', 3),
  swatch('buoy', '#e2552b', '', 1),
  swatch('rope', '#d9c7a0', 'Harbour', 2),
  swatch('slate', '#777777', 'Harbour', 4),
];

function trayAfter(command: Command): string {
  const document = { ...emptyDocument('x', [{ id: 't', name: 'T' }]), tray: TRAY };
  const result = applyCommand(document, command);
  if (!result.ok) throw new Error(result.reason);
  expect(applyCommand(result.document, result.inverse)).toMatchObject({ ok: true, document });
  return result.document.tray.map(({ id, group }) => (group ? `${id}/${group}` : id)).join(' ');
}

describe('the tray', () => {
  it('takes a dropped colour where another lies, into its group; several at once stay together', () => {
    expect(trayAfter(dropCommand(TRAY, new Set(['sea']), TRAY[1]!))).toBe(
      'buoy sea rope/Harbour slate/Harbour',
    );
    expect(trayAfter(dropCommand(TRAY, new Set(['sea']), TRAY[3]!))).toBe(
      'buoy rope/Harbour slate/Harbour sea/Harbour',
    );
    expect(trayAfter(dropCommand(TRAY, new Set(['slate']), TRAY[0]!))).toBe('slate sea buoy rope/Harbour');
    expect(trayAfter(dropCommand(TRAY, new Set(['sea', 'buoy']), TRAY[2]!))).toBe(
      'rope/Harbour sea/Harbour buoy/Harbour slate/Harbour',
    );
    expect(trayAfter(dropCommand(TRAY, new Set(['buoy', 'slate']), TRAY[0]!))).toBe(
      'buoy slate sea rope/Harbour',
    );
  });

  it('puts colours into a group, at its end or as a new one behind all others', () => {
    expect(trayAfter(groupCommand(TRAY, new Set(['sea']), 'Harbour'))).toBe(
      'buoy rope/Harbour slate/Harbour sea/Harbour',
    );
    expect(trayAfter(groupCommand(TRAY, new Set(['rope', 'sea']), 'Client'))).toBe(
      'buoy slate/Harbour sea/Client rope/Client',
    );
  });

  it('is sorted within its groups', () => {
    expect(trayAfter(sortCommand(TRAY, 'lightness'))).toBe('buoy sea rope/Harbour slate/Harbour');
    expect(trayAfter(sortCommand(TRAY, 'time'))).toBe('buoy sea rope/Harbour slate/Harbour');
    expect(trayAfter(sortCommand(TRAY, 'hue'))).toBe('buoy sea rope/Harbour slate/Harbour');
    const greys = [swatch('grey', '#777777'), swatch('red', '#ff0000')];
    const command = sortCommand(greys, 'hue');
    expect(command).toMatchObject({ order: [{ swatch: 'red' }, { swatch: 'grey' }] });
  });

  it('is text with its codes and names', () => {
    expect(trayAsText(TRAY)).toBe('#0b5f6b  SEA\n#e2552b  BUOY\n\nHarbour\n#d9c7a0  ROPE\n#777777  SLATE');
  });
});
