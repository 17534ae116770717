import type { Access, ExceptionAccess } from '@mint-lamp/core/wire/access';

/** What somebody is called by what they may do, and that in a few words. */
export const ACCESS_WORDS: Readonly<Record<Access, readonly [name: string, says: string]>> = {
  owner: ['Owner', 'does everything, and says who is in the team'],
  editor: ['Editor', 'changes colours, saves checkpoints, hands over'],
  noter: ['Noter', 'looks, and writes notes'],
  looker: ['Looker', 'looks, copies and downloads files'],
};

export const EXCEPTION_WORDS: Readonly<Record<ExceptionAccess, string>> = {
  editor: 'Editor here',
  noter: 'Noter here',
  looker: 'Looker here',
  none: 'No access',
};

/** What one may do on a project that is not all of it, as it stands in a list; null for who may change it. */
export const lessThanEditing = (access: Access): string | null =>
  access === 'noter' ? 'to look at and write notes' : access === 'looker' ? 'to look at' : null;
