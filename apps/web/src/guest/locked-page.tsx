import { type FormEvent, useState } from 'react';
import { unlockShare } from '../fetching/shared-requests.ts';
import { Button } from '../ui/button.tsx';
import { FormField } from '../ui/form-field.tsx';
import { Mark } from '../ui/mark.tsx';

/** Asks for the passphrase of a share that has one. */
export function LockedPage({ token, onOpen }: { token: string; onOpen: () => void }) {
  const [passphrase, setPassphrase] = useState('');
  const [fault, setFault] = useState<string | undefined>();
  const [busy, setBusy] = useState(false);
  const unlock = async (event: FormEvent) => {
    event.preventDefault();
    if (!passphrase) {
      setFault('Type the passphrase that came with the address.');
      return;
    }
    setBusy(true);
    setFault(undefined);
    try {
      await unlockShare(token, passphrase);
      onOpen();
    } catch (error) {
      setFault((error as Error).message);
      setBusy(false);
    }
  };
  return (
    <main className="grid h-full place-content-center px-6">
      <form noValidate onSubmit={unlock} className="w-[min(340px,86vw)]">
        <Mark className="mb-3 size-12" />
        <h1 className="mb-4 font-title text-xl font-semibold">This opens with a passphrase</h1>
        <FormField
          label="Passphrase"
          type="password"
          autoComplete="off"
          autoFocus
          value={passphrase}
          fault={fault}
          onChange={(event) => setPassphrase(event.target.value)}
        >
          Whoever sent the address knows it.
        </FormField>
        <Button type="submit" look="primary" disabled={busy} className="mt-3 h-11 w-full">
          Open
        </Button>
      </form>
    </main>
  );
}
