import { whoAmI } from '../fetching/sign-in-requests.ts';
import { rememberPerson } from '../person/person.ts';

/** Where one wanted to go before signing in: a path of this app, and no other address. */
export function wantedPath(search: string): string {
  const to = new URLSearchParams(search).get('to') ?? '/';
  return /^\/(?![/\\])/.test(to) ? to : '/';
}

/** Goes on as whoever is signed in by now, with a page of theirs. */
export async function comeIn(to: string): Promise<void> {
  const { person, local } = await whoAmI();
  const own = person?.email === '' && local;
  rememberPerson(own ? null : (person?.id ?? null));
  location.assign(to);
}
