import { describe, expect, it, test } from 'vitest';
import { applyCommand } from '../commands/apply.ts';
import type { Command } from '../commands/command.ts';
import { describeCommand } from '../commands/describe.ts';
import { emptyDocument } from '../document.ts';
import { documentSchema } from '../document-schema.ts';
import type { Picture } from './picture.ts';

const HARBOUR: Picture = {
  id: 'harbour',
  name: 'Harbour',
  content: 'ab'.repeat(32),
  width: 30,
  height: 20,
  markers: [
    { id: 'm1', x: 0, y: 0, side: 1 },
    { id: 'm2', x: 29, y: 19, side: 101 },
  ],
  moved: [{ leaning: 'vivid', size: 6, index: 2, x: 4, y: 5, side: 11 }],
  textOver: null,
};
const document = { ...emptyDocument('x', [{ id: 't', name: 'T' }]), pictures: [HARBOUR] };
const color = { leaning: 'vivid', size: 6 } as const;
const target = { level: 'AA', content: 'body' } as const;

/** The picture after a command, which is taken back to see that all is as it was. */
function after(command: Command): Picture | undefined {
  const result = applyCommand(document, command);
  if (!result.ok) throw new Error(result.reason);
  expect(applyCommand(result.document, result.inverse)).toMatchObject({ ok: true, document });
  return result.document.pictures[0];
}

describe('pictures', () => {
  it('hold markers that are put, moved, given another square and removed', () => {
    const marker = { id: 'm3', x: 1, y: 2, side: 5 } as const;
    expect(after({ type: 'addMarker', picture: 'harbour', marker, index: 1 })?.markers[1]).toEqual(marker);
    const set = after({ type: 'setMarker', picture: 'harbour', marker: 'm2', change: { x: 3, side: 11 } });
    expect(set?.markers[1]).toEqual({ id: 'm2', x: 3, y: 19, side: 11 });
    expect(after({ type: 'removeMarker', picture: 'harbour', marker: 'm1' })?.markers).toHaveLength(1);
  });

  it('let colours of a palette be taken from elsewhere, and given back', () => {
    const to = { x: 9, y: 9, side: 1 } as const;
    const moved = after({ type: 'moveColor', picture: 'harbour', ...color, index: 2, to })?.moved;
    expect(moved).toEqual([{ ...color, index: 2, ...to }]);
    const another = after({ type: 'moveColor', picture: 'harbour', ...color, index: 0, to })?.moved;
    expect(another).toHaveLength(2);
    const back = after({ type: 'moveColor', picture: 'harbour', ...color, index: 2, to: null })?.moved;
    expect(back).toEqual([]);
  });

  it('are gone and back with all that is on them', () => {
    expect(after({ type: 'removePicture', picture: 'harbour' })).toBeUndefined();
  });

  test.each<[Command, RegExp]>([
    [
      { type: 'addMarker', picture: 'harbour', marker: { id: 'm4', x: 30, y: 0, side: 1 } },
      /30, 0 lies outside the picture, which is 30 × 20 px; its last is 29, 19/,
    ],
    [{ type: 'setMarker', picture: 'harbour', marker: 'm1', change: { y: 20 } }, /outside the picture/],
    [{ type: 'setMarker', picture: 'harbour', marker: 'm9', change: { y: 2 } }, /marker no longer exists/],
    [{ type: 'removePicture', picture: 'deck' }, /picture no longer exists/],
    [
      { type: 'moveColor', picture: 'harbour', ...color, index: 6, to: null },
      /A palette of 6 has no such colour/,
    ],
    [
      {
        type: 'setTextOver',
        picture: 'harbour',
        text: { color: '#fff', x: 20, y: 3, width: 11, height: 4, target },
      },
      /beyond the picture/,
    ],
  ])('refuse what lies beside them, %#', (command, reason) => {
    const result = applyCommand(document, command);
    expect(result.ok ? '' : result.reason).toMatch(reason);
  });

  test.each([
    [{ content: 'AB'.repeat(32) }, /SHA-256/],
    [{ width: 10_000, height: 5001 }, /50 million pixels/],
    [{ markers: [{ id: 'm', x: 30, y: 0, side: 1 }] }, /outside the picture/],
    [{ markers: [{ id: 'm', x: 3, y: 0, side: 2 }] }, /side/],
    [{ moved: [HARBOUR.moved[0], { ...HARBOUR.moved[0], x: 1 }] }, /one place only/],
  ])('of documents are checked, %#', (part, message) => {
    const wrong = { ...document, pictures: [{ ...HARBOUR, ...part }] };
    expect(documentSchema.validate(document).error).toBeUndefined();
    expect(documentSchema.validate(wrong).error?.message).toMatch(message);
  });

  it('are named in what was done', () => {
    expect(describeCommand(document, { type: 'removeMarker', picture: 'harbour', marker: 'm2' })).toBe(
      'remove marker 2',
    );
    expect(
      describeCommand(document, { type: 'setMarker', picture: 'harbour', marker: 'm1', change: { side: 5 } }),
    ).toBe('let marker 1 average 5 px');
  });
});
