import type { Role } from '@mint-lamp/core/document/roles/role';
import { describe, expect, it } from 'vitest';
import { roleRows } from './role-rows.ts';

const role = (written: string): Role => {
  const names = written.split('.');
  return { id: written, group: names.slice(0, -1), name: names.at(-1)!, links: {} };
};

describe('the rows of the table of roles', () => {
  it('have a heading wherever the group changes', () => {
    const rows = roleRows(
      ['solo', 'text.main', 'text.quiet', 'notice.delay.text', 'other', 'text.link'].map(role),
    );
    expect(rows.map((row) => (row.kind === 'group' ? `[${row.group.join(' ')}]` : row.role.name))).toEqual([
      'solo',
      '[text]',
      'main',
      'quiet',
      '[notice delay]',
      'text',
      '[]',
      'other',
      '[text]',
      'link',
    ]);
    expect(new Set(rows.map(({ key }) => key)).size).toBe(rows.length);
  });
});
