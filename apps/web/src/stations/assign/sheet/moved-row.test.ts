import { applyCommand } from '@mint-lamp/core/document/commands/apply';
import type { ProjectDocument } from '@mint-lamp/core/document/document';
import { emptyDocument } from '@mint-lamp/core/document/document';
import { writeRoleName } from '@mint-lamp/core/document/naming/role-name';
import type { Role } from '@mint-lamp/core/document/roles/role';
import { expect, test } from 'vitest';
import { movedRow } from './moved-row.ts';
import { roleRows } from './role-rows.ts';

const role = (written: string): Role => {
  const names = written.split('.');
  return { id: written.replaceAll('.', '-'), group: names.slice(0, -1), name: names.at(-1)!, links: {} };
};
const NAMES = ['solo', 'text.main', 'text.quiet', 'line.soft', 'line.strong', 'focus.ring'];
const doc: ProjectDocument = { ...emptyDocument('Rows', [{ id: 't', name: 'T' }]), roles: NAMES.map(role) };

/** The rows as they are written, after one was put where another is. */
function rowsAfter(from: string, to: string, folded: readonly string[] = []): string {
  const rows = roleRows(doc.roles, new Set(folded));
  const written = (row: (typeof rows)[number]) =>
    row.kind === 'group' ? `[${row.group.join('.')}]` : row.role.name;
  const at = (name: string) => rows.findIndex((row) => written(row) === name);
  const commands = movedRow(doc.roles, rows, at(from), at(to));
  const result = applyCommand(doc, { type: 'batch', label: 'move', commands });
  if (!result.ok) return result.reason;
  return result.document.roles.map(writeRoleName).join(' ');
}

test.each([
  ['quiet', 'main', 'solo text.quiet text.main line.soft line.strong focus.ring'],
  // Past a heading it goes into the group there.
  ['quiet', 'soft', 'solo text.main line.soft line.quiet line.strong focus.ring'],
  ['quiet', '[line]', 'solo text.main line.quiet line.soft line.strong focus.ring'],
  ['soft', '[line]', 'solo text.main text.quiet text.soft line.strong focus.ring'],
  ['ring', 'solo', 'ring solo text.main text.quiet line.soft line.strong'],
  ['ring', '[text]', 'solo ring text.main text.quiet line.soft line.strong'],
  ['solo', 'strong', 'text.main text.quiet line.soft line.strong line.solo focus.ring'],
  // A heading takes its roles along, and lands between groups.
  ['[line]', 'main', 'solo line.soft line.strong text.main text.quiet focus.ring'],
  ['[text]', 'soft', 'solo line.soft line.strong text.main text.quiet focus.ring'],
  ['[text]', 'ring', 'solo line.soft line.strong focus.ring text.main text.quiet'],
  ['[text]', 'quiet', 'solo text.main text.quiet line.soft line.strong focus.ring'],
])('%s put where %s is', (from, to, expected) => {
  expect(rowsAfter(from, to)).toBe(expected);
});

test('what is folded takes a role in, and moves whole', () => {
  expect(rowsAfter('ring', '[line]', ['line'])).toBe(
    'solo text.main text.quiet text.ring line.soft line.strong',
  );
  expect(rowsAfter('[line]', 'ring', ['line'])).toBe(
    'solo text.main text.quiet focus.ring line.soft line.strong',
  );
});
