import type { Form } from '../form.ts';
import { change, gradient, move, stop } from './gradients.ts';
import { fullName, group, role } from './roles.ts';

/** The commands of version 1 that version 2 has in another form. */
const CHANGED: Readonly<Record<string, (old: Form) => Form>> = {
  addRole: (old) => ({ ...old, role: role(old.role as Form) }),
  renameRole: ({ path, ...rest }) => ({ ...rest, ...fullName(path) }),
  renameRoleGroup: (old) => ({ ...old, from: group(old.from), to: group(old.to) }),
  addGradient: (old) => ({ ...old, gradient: gradient(old.gradient as Form) }),
  setGradient: (old) => ({ ...old, change: change(old.change as Form) }),
  addStop: (old) => ({ ...old, stop: stop(old.stop as Form) }),
  moveStop: move,
  batch: (old) => ({ ...old, commands: (old.commands as Form[]).map(command) }),
};

/** A command of version 1 as one of version 2. */
export function command(old: Form): Form {
  const changed = Object.hasOwn(CHANGED, String(old.type)) ? CHANGED[String(old.type)] : undefined;
  return changed ? changed(old) : old;
}
