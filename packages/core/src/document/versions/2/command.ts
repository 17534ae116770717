import type { Stored } from '../stored.ts';
import { change, gradient, move, stop } from './gradients.ts';
import { fullName, group, role } from './roles.ts';

/** The commands of version 1 that version 2 has in another shape. */
const CHANGED: Readonly<Record<string, (old: Stored) => Stored>> = {
  addRole: (old) => ({ ...old, role: role(old.role as Stored) }),
  renameRole: ({ path, ...rest }) => ({ ...rest, ...fullName(path) }),
  renameRoleGroup: (old) => ({ ...old, from: group(old.from), to: group(old.to) }),
  addGradient: (old) => ({ ...old, gradient: gradient(old.gradient as Stored) }),
  setGradient: (old) => ({ ...old, change: change(old.change as Stored) }),
  addStop: (old) => ({ ...old, stop: stop(old.stop as Stored) }),
  moveStop: move,
  batch: (old) => ({ ...old, commands: (old.commands as Stored[]).map(command) }),
};

/** A command of version 1 as one of version 2. */
export function command(old: Stored): Stored {
  const changed = Object.hasOwn(CHANGED, String(old.type)) ? CHANGED[String(old.type)] : undefined;
  return changed ? changed(old) : old;
}
