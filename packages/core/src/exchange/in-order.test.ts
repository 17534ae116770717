import { expect, it, test } from 'vitest';
import { SKERRY_LINE } from '../demo/skerry-line.ts';
import { ENTWINED } from '../document/commands/small-documents.fixture.ts';
import type { ProjectDocument } from '../document/document.ts';
import { resolveSystem } from '../system/resolve.ts';
import { FILE_FORMATS } from './file-formats.ts';
import { inOrder } from './in-order.ts';

/** The same document with the keys of every record the other way round, as another store may give them back. */
function turned<T>(value: T): T {
  if (Array.isArray(value)) return value.map(turned) as T;
  if (typeof value !== 'object' || value === null) return value;
  return Object.fromEntries(
    Object.entries(value)
      .reverse()
      .map(([key, part]) => [key, turned(part)]),
  ) as T;
}

it('has keys of records in one order, and lists in their own', () => {
  expect(JSON.stringify(inOrder({ b: [{ d: 1, c: null }, 'x'], a: { 10: 1, 9: 2 } }))).toBe(
    '{"a":{"9":2,"10":1},"b":[{"c":null,"d":1},"x"]}',
  );
});

/** Those that draw letters have their own from fonts, and no records of the document. */
const FORMS = FILE_FORMATS.filter(({ id }) => !['pdf', 'png', 'jpeg', 'svg'].includes(id));
test.each(
  [
    ['the demo', SKERRY_LINE],
    ['a small one', ENTWINED],
  ].flatMap(([name, document]) =>
    FORMS.map(({ id, writer }) => ({ name, document: document as ProjectDocument, id, writer })),
  ),
)('$name as $id is the same bytes, however its records are kept', async ({ document, writer }) => {
  const write = await writer();
  const { choices } = document.delivery;
  const fonts = async () => new Uint8Array();
  const written = (of: ProjectDocument) =>
    write({ system: resolveSystem(of), choices, at: '2026-11-30T00:00:00Z', revision: 1, fonts } as never);
  expect(await written(turned(document))).toEqual(await written(document));
});
