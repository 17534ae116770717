import { MOST_NAME } from '@mint-lamp/core/document/naming/names';
import { useState } from 'react';
import { toast } from 'sonner';
import { Button } from '../ui/button.tsx';

/** Saves the present state under a name. */
export function SaveCheckpoint({ onSave }: { onSave: (name: string) => Promise<string | null> }) {
  const [name, setName] = useState('');
  const [busy, setBusy] = useState(false);
  const [fault, setFault] = useState<string | null>(null);
  const save = async () => {
    const wanted = name.trim();
    setBusy(true);
    const refused = await onSave(wanted);
    setBusy(false);
    setFault(refused);
    if (refused) return;
    setName('');
    toast(`Saved as the checkpoint ${wanted}`);
  };
  return (
    <form
      className="flex flex-wrap items-center justify-end gap-2"
      onSubmit={(event) => {
        event.preventDefault();
        if (name.trim() && !busy) void save();
      }}
    >
      <label className="flex items-center gap-2">
        <span className="text-sm text-quiet">Save a checkpoint</span>
        <input
          value={name}
          maxLength={MOST_NAME}
          placeholder="Before the client’s call"
          aria-invalid={fault !== null}
          onChange={(event) => {
            setName(event.target.value);
            setFault(null);
          }}
          className="h-8 w-60 rounded-md border border-control bg-raised px-2"
        />
      </label>
      <Button type="submit" look="primary" disabled={!name.trim() || busy}>
        {busy ? 'Saving …' : 'Save'}
      </Button>
      {fault && (
        <p role="alert" className="w-full text-right text-sm text-fail">
          {fault}
        </p>
      )}
    </form>
  );
}
