/** What somebody is in a team, and by that on each of its projects; each may do what those after it may. */
export const ACCESSES = ['owner', 'editor', 'noter', 'looker'] as const;
export type Access = (typeof ACCESSES)[number];

/** What may be done with a project; each takes in those before it. */
export type Ability = 'look' | 'note' | 'edit' | 'own';

const LEAST: Readonly<Record<Ability, Access>> = {
  look: 'looker',
  note: 'noter',
  edit: 'editor',
  own: 'owner',
};

/** Whether somebody with an access may do something; nobody without one may do anything. */
export function mayDo(access: Access | null, ability: Ability): boolean {
  const at = access === null ? -1 : ACCESSES.indexOf(access);
  return at !== -1 && at <= ACCESSES.indexOf(LEAST[ability]);
}

/** What stands for somebody on one project otherwise than in its team; `none` keeps them from it. Owners are never excepted. */
export const EXCEPTIONS = ['editor', 'noter', 'looker', 'none'] as const;
export type ExceptionAccess = (typeof EXCEPTIONS)[number];

/**
 * The header in which a page says whom it takes itself to be signed in as: no page of elsewhere can send it, and a tab
 * that is left over from somebody else changes nothing under another name. Streams of events say it in their query.
 */
export const PERSON_HEADER = 'mint-lamp-person';
