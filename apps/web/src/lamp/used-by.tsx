import { Link } from 'react-router';
import { addressOf } from '../addresses.ts';
import { selectProject, useSystem, useTheme } from '../store/selectors.ts';
import { useAppSelector } from '../store/store.ts';

const MOST = 12;

/** Where the lit colour is used in this theme: roles and gradients that follow it. */
export function UsedBy() {
  const id = useAppSelector((state) => selectProject(state).id);
  const selection = useAppSelector((state) => state.interface.selection);
  const system = useSystem();
  const theme = useTheme();
  if (selection?.kind !== 'base' && selection?.kind !== 'shade' && selection?.kind !== 'role') return null;
  const roles: { key: string; name: string; to: string }[] = [];
  for (const { role, link, source } of theme.roles.values()) {
    const follows =
      selection.kind === 'role'
        ? link?.to === 'role' && link.role === selection.role
        : source?.family === selection.family &&
          (selection.kind === 'base' || source.shade === selection.shade);
    if (follows) roles.push({ key: role.id, name: role.path, to: addressOf(id, 'assign', role.id) });
  }
  const gradients = system.document.gradients
    .filter(({ stops }) =>
      stops.some(({ link }) =>
        selection.kind === 'role'
          ? link.to === 'role' && link.role === selection.role
          : link.to === 'shade' &&
            link.family === selection.family &&
            (selection.kind === 'base' || link.shade === selection.shade),
      ),
    )
    .map((gradient) => ({ key: gradient.id, name: gradient.name, to: addressOf(id, 'fade', gradient.id) }));
  const all = [...roles, ...gradients];
  return (
    <section aria-label="Used by" className="border-t border-hair pt-2">
      <h3 className="text-sm text-quiet">
        {all.length ? `Used by ${all.length} in ${theme.theme.name}` : `Not used in ${theme.theme.name}`}
      </h3>
      <ul>
        {all.slice(0, MOST).map((item) => (
          <li key={item.key}>
            <Link to={item.to} className="hover:underline">
              {item.name}
            </Link>
          </li>
        ))}
        {all.length > MOST && <li className="text-quiet">and {all.length - MOST} more</li>}
      </ul>
    </section>
  );
}
