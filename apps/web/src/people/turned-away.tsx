import { useEffect, useState } from 'react';
import { onTurnedAway, type TurnedAway as Why } from '../fetching/ask.ts';
import { personOfPage } from '../person/person.ts';
import { part } from '../ui/part.tsx';

const SignedOut = part(() => import('./signed-out.tsx'));

/** The pages that anybody may see. */
const OPEN = /^\/(sign-in|forgotten|new-passphrase|invitation)(\/|$)/;

/**
 * What becomes of a page whose server says that nobody is signed in, or somebody else. One that was nobody's goes to where
 * one signs in; one that was somebody's stays as it is, with what was done in it, until they are back.
 */
export function TurnedAway() {
  const [why, setWhy] = useState<Why | null>(null);
  useEffect(() => {
    if (personOfPage() !== null || OPEN.test(location.pathname)) return;
    // A page that cannot fetch it hears of the server otherwise.
    import('./ask-who.ts').then(
      ({ askWho }) => askWho(),
      () => {},
    );
  }, []);
  useEffect(
    () =>
      onTurnedAway((reason) => {
        if (OPEN.test(location.pathname)) return;
        if (personOfPage() === null && reason === 'nobody')
          location.replace(`/sign-in?to=${encodeURIComponent(location.pathname + location.search)}`);
        else setWhy(reason);
      }),
    [],
  );
  return why && <SignedOut why={why} onBack={() => setWhy(null)} />;
}
