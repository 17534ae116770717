import { whoAmI } from '../fetching/sign-in-requests.ts';
import { adoptPerson, rememberPerson } from '../person/person.ts';

/** For a page that nothing in its browser says whose it is: of whom the server says, where that is somebody with an account. */
export async function askWho(): Promise<void> {
  // Where the server does not answer, the page will hear of that by itself.
  const me = await whoAmI().catch(() => null);
  if (!me?.person?.email) return;
  if (rememberPerson(me.person.id)) location.reload();
  else adoptPerson(me.person.id);
}
