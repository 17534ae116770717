import { usageOf } from '@mint-lamp/core/document/coherence/role-use';
import { ROLE_USES, type RoleUse } from '@mint-lamp/core/document/roles/use-names';
import { useEditing } from '../../store/editing.ts';
import { useDocumentPart } from '../../store/selectors.ts';
import { Choice } from '../../ui/choice.tsx';
import type { SelectionOf } from '../lit-color.ts';
import { RoleTold } from './role-told.tsx';

const NAMES: Readonly<Record<RoleUse, string>> = {
  ground: 'a ground',
  text: 'text',
  line: 'a line',
  fill: 'a fill',
  ring: 'a ring',
  other: 'a patch',
};

/** What can be done with a selected role besides linking it: as what it is shown on the sheet. */
export default function RoleActions({ selection }: { selection: SelectionOf<'role'> }) {
  const roles = useDocumentPart('roles');
  const pairs = useDocumentPart('pairs');
  const { edit } = useEditing();
  const role = roles.find(({ id }) => id === selection.role);
  if (!role) return null;
  const { use: _, ...plain } = role;
  const options = [
    { value: 'own', label: `as its name says: ${NAMES[usageOf(plain, pairs)]}` },
    ...ROLE_USES.map((value) => ({ value, label: `as ${NAMES[value]}` })),
  ] as readonly { value: RoleUse | 'own'; label: string }[];
  return (
    <>
      <Choice
        label="Shown on the sheet"
        value={role.use ?? 'own'}
        options={options}
        onChange={(use) => edit({ type: 'setUse', role: role.id, use: use === 'own' ? null : use })}
      />
      <RoleTold role={role} />
    </>
  );
}
