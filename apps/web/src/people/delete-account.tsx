import { useState } from 'react';
import { useDeleteAccountMutation } from '../fetching/account-api.ts';
import { rememberPerson } from '../person/person.ts';
import { Button } from '../ui/button.tsx';
import { ProofForm } from './proof-form.tsx';
import { answered } from './use-asking.ts';

export function DeleteAccount({ hasFactor }: { hasFactor: boolean }) {
  const [asked, setAsked] = useState(false);
  const [leave] = useDeleteAccountMutation();
  if (!asked)
    return (
      <Button look="danger" onClick={() => setAsked(true)}>
        Delete my account …
      </Button>
    );
  return (
    <>
      <p className="mb-3 max-w-md">
        Your account, your own projects with all their pictures and history, and the sets that you published
        to everybody go at once. This cannot be undone; take your data first if you want to keep it.
      </p>
      <ProofForm
        hasFactor={hasFactor}
        danger
        yes="Delete it all for good"
        onGiveUp={() => setAsked(false)}
        onProof={async (proof) => {
          await answered(leave(proof));
          rememberPerson(null);
          location.assign('/');
        }}
      />
    </>
  );
}
