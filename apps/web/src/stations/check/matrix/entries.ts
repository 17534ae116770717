import { usageOf } from '@mint-lamp/core/document/coherence/role-use';
import type { ProjectDocument } from '@mint-lamp/core/document/document';
import { writeRoleName } from '@mint-lamp/core/document/naming/role-name';
import type { TableColor } from '@mint-lamp/core/judged/readout/ratio-table';
import type { System } from '@mint-lamp/core/system/resolve';

/** What stands along one side of the matrix. */
export const SETS = [
  { value: 'texts', label: 'roles in front' },
  { value: 'grounds', label: 'roles beneath' },
  { value: 'roles', label: 'all roles' },
  { value: 'shades', label: 'shades' },
  { value: 'tray', label: 'tray colours' },
] as const;
export type EntrySet = (typeof SETS)[number]['value'];

export interface Entry {
  readonly key: string;
  readonly name: string;
  readonly color: TableColor;
}

const IN_FRONT = new Set(['text', 'line', 'fill', 'ring', 'other']);
const BENEATH = new Set(['ground', 'fill', 'other']);

function roleEntries(doc: ProjectDocument, uses: ReadonlySet<string> | null): Entry[] {
  return doc.roles.flatMap((role): Entry[] =>
    uses === null || uses.has(usageOf(role, doc.pairs))
      ? [{ key: role.id, name: writeRoleName(role), color: { kind: 'role', role: role.id } }]
      : [],
  );
}

/** The colours of a set, in the project's order. */
export function entriesOf({ document, families }: System, set: EntrySet): Entry[] {
  switch (set) {
    case 'texts':
      return roleEntries(document, IN_FRONT);
    case 'grounds':
      return roleEntries(document, BENEATH);
    case 'roles':
      return roleEntries(document, null);
    case 'shades':
      return [...families.values()].flatMap(({ family, shades }) =>
        shades.map(({ label }) => ({
          key: `${family.id} ${label}`,
          name: `${family.name} ${label}`,
          color: { kind: 'shade' as const, family: family.id, shade: label },
        })),
      );
    case 'tray':
      return document.tray.map(({ id, name, color }) => ({
        key: id,
        name,
        color: { kind: 'swatch' as const, color },
      }));
  }
}
