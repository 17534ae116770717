import type { TurnedAway } from '../fetching/ask.ts';
import { whoAmI } from '../fetching/sign-in-requests.ts';
import { personOfPage, rememberPerson } from '../person/person.ts';
import { Button } from '../ui/button.tsx';
import { Dialog } from '../ui/dialog.tsx';
import { SignInForm } from './sign-in-form.tsx';

/** Stands over a page whose person is not signed in any more, or is somebody else now. */
export default function SignedOut({ why, onBack }: { why: TurnedAway; onBack: () => void }) {
  const back = async () => {
    const { person } = await whoAmI();
    if (person?.id === personOfPage()) return onBack();
    rememberPerson(person?.email ? person.id : null);
    location.assign('/');
  };
  if (why === 'somebody else')
    return (
      <Dialog
        open
        lasting
        onOpenChange={() => {}}
        title="Somebody else is signed in now"
        description="In another tab of this browser somebody else has signed in. What you did here and has not reached the server is kept in this browser, under your name alone: it is sent when you sign in again."
      >
        <Button look="primary" onClick={() => void back()}>
          Continue as them
        </Button>
      </Dialog>
    );
  return (
    <Dialog
      open
      lasting
      onOpenChange={() => {}}
      title="You are signed out"
      description="Your session has ended. What you did here is kept, and goes on when you sign in again."
    >
      <div className="max-w-sm">
        <SignInForm onIn={back} />
      </div>
    </Dialog>
  );
}
