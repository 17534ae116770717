import type { Stored } from '../stored.ts';
import { gradient } from './gradients.ts';
import { role } from './roles.ts';

const each = (list: unknown, change: (item: Stored) => Stored): Stored[] => (list as Stored[]).map(change);

/** A document of version 1 as one of version 2: roles have groups, gradients are written as CSS has them. */
export const document = (old: Stored): Stored => ({
  ...old,
  version: 2,
  roles: each(old.roles, role),
  gradients: each(old.gradients, gradient),
});
