import { LEAST_SHARE_PASSPHRASE, type MadeShare, NOTED, TRIED } from '@mint-lamp/core/wire/shares';
import { type FormEvent, useState } from 'react';
import { useStore } from 'react-redux';
import { reasonOf } from '../../../fetching/api.ts';
import { useCheckpointsQuery } from '../../../fetching/checkpoints-api.ts';
import { useMakeShareMutation } from '../../../fetching/shares-api.ts';
import { useProjectDocument, useProjectId } from '../../../store/selectors.ts';
import type { AppStore } from '../../../store/store.ts';
import { whenSaved } from '../../../store/when-saved.ts';
import { Button } from '../../../ui/button.tsx';
import { Choice } from '../../../ui/choice.tsx';
import { Dialog } from '../../../ui/dialog.tsx';
import { FormField } from '../../../ui/form-field.tsx';
import { ENDS, type Ends, endOf } from './ends.ts';
import type { Sharable } from './subjects.ts';

interface NewShareDialogProps {
  sharables: readonly Sharable[];
  /** What is chosen at first. */
  first: string;
  onClose: () => void;
  onMade: (made: MadeShare) => void;
}

/** Makes a share: what it shows, what may be done with it, and when it ends. */
export function NewShareDialog({ sharables, first, onClose, onMade }: NewShareDialogProps) {
  const project = useProjectId();
  const store = useStore() as AppStore;
  const { name: projectName } = useProjectDocument();
  const { currentData: checkpoints = [] } = useCheckpointsQuery(project);
  const [make, { isLoading }] = useMakeShareMutation();
  const [of, setOf] = useState(sharables.some(({ value }) => value === first) ? first : 'project');
  const sharable = sharables.find(({ value }) => value === of)!;
  const { kind } = sharable.subject;
  const usual = sharable.group ? sharable.label : projectName;
  const [named, setNamed] = useState<string | null>(null);
  const [state, setState] = useState('live');
  const [tries, setTries] = useState(true);
  const [notes, setNotes] = useState(true);
  const [ends, setEnds] = useState<Ends>('30');
  const [passphrase, setPassphrase] = useState('');
  const [fault, setFault] = useState<{ where: string; says: string } | null>(null);
  const name = named ?? usual;
  const submit = async (event: FormEvent) => {
    event.preventDefault();
    if (!name.trim())
      return setFault({ where: 'name', says: 'Type a name; whoever gets the address sees it.' });
    if (passphrase && passphrase.length < LEAST_SHARE_PASSPHRASE)
      return setFault({
        where: 'passphrase',
        says: `At least ${LEAST_SHARE_PASSPHRASE} letters, or none for no passphrase.`,
      });
    setFault(null);
    try {
      // What is frozen is what is seen, so all of it has to have arrived.
      const now = await whenSaved(store, project);
      const made = await make({
        project,
        share: {
          name: name.trim(),
          subject: sharable.subject,
          revision: state === 'live' ? null : state === 'now' ? now : Number(state),
          tries: tries && TRIED.includes(kind),
          notes: notes && NOTED.includes(kind),
          endsAt: endOf(ends),
          passphrase: kind === 'css' || !passphrase ? null : passphrase,
        },
      }).unwrap();
      onMade(made);
    } catch (error) {
      setFault({ where: 'all', says: reasonOf(error) });
    }
  };
  const faultAt = (where: string) => (fault?.where === where ? fault.says : undefined);
  return (
    <Dialog
      open
      onOpenChange={(open) => open || onClose()}
      title="New share"
      description="An address for someone outside. Anyone who has it can open this, and nothing else."
    >
      <form noValidate onSubmit={submit} className="flex flex-col gap-3">
        <Choice label="What it shows" value={of} options={sharables} onChange={setOf} />
        <FormField
          label="Name"
          value={name}
          maxLength={80}
          fault={faultAt('name')}
          onChange={(event) => setNamed(event.target.value)}
        />
        <div className="grid grid-cols-2 gap-3">
          <Choice
            label="Which version"
            value={state}
            options={[
              { value: 'live', label: 'Always up to date' },
              { value: 'now', label: 'Frozen as it is now' },
              ...checkpoints.map((one) => ({
                value: String(one.revision),
                label: one.name,
                group: 'As of a checkpoint',
              })),
            ]}
            onChange={setState}
          />
          <Choice label="Expires" value={ends} options={ENDS} onChange={setEnds} />
        </div>
        {(TRIED.includes(kind) || NOTED.includes(kind)) && (
          <fieldset>
            <legend className="mb-0.5 text-sm text-quiet">They can also</legend>
            {TRIED.includes(kind) && (
              <Check label="try other colours, and send them back" on={tries} onChange={setTries} />
            )}
            {NOTED.includes(kind) && (
              <Check label="write notes, without an account" on={notes} onChange={setNotes} />
            )}
          </fieldset>
        )}
        {kind !== 'css' && (
          <FormField
            label="Passphrase"
            type="password"
            autoComplete="new-password"
            value={passphrase}
            fault={faultAt('passphrase')}
            onChange={(event) => setPassphrase(event.target.value)}
          >
            Optional. Send it separately from the address.
          </FormField>
        )}
        {faultAt('all') && (
          <p role="alert" className="text-fail">
            {faultAt('all')}
          </p>
        )}
        <Button type="submit" look="primary" className="self-start" disabled={isLoading}>
          Create the address
        </Button>
      </form>
    </Dialog>
  );
}

function Check({ label, on, onChange }: { label: string; on: boolean; onChange: (on: boolean) => void }) {
  return (
    <label className="flex h-7 items-center gap-2">
      <input
        type="checkbox"
        checked={on}
        onChange={(event) => onChange(event.target.checked)}
        className="size-4 accent-(--text-main)"
      />
      {label}
    </label>
  );
}
