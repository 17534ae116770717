import { Link, useLocation } from 'react-router';
import { comeIn, wantedPath } from './come-in.ts';
import { DoorPage } from './door-page.tsx';
import { SignInForm } from './sign-in-form.tsx';

export default function SignInPage() {
  const { search } = useLocation();
  return (
    <DoorPage title="Sign in" lead="No account yet? Ask whoever looks after this server to invite you.">
      <SignInForm onIn={() => comeIn(wantedPath(search))} />
      <p className="mt-4 text-sm">
        <Link to="/forgotten" className="underline underline-offset-2">
          Forgotten your passphrase?
        </Link>
      </p>
    </DoorPage>
  );
}
