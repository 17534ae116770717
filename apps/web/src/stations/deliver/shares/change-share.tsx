import type { Share } from '@mint-lamp/core/wire/shares';
import { useState } from 'react';
import { reasonOf } from '../../../fetching/api.ts';
import { useChangeShareMutation } from '../../../fetching/shares-api.ts';
import { useProjectId } from '../../../store/selectors.ts';
import { Button } from '../../../ui/button.tsx';
import { Choice } from '../../../ui/choice.tsx';
import { FormField } from '../../../ui/form-field.tsx';
import { Popover } from '../../../ui/popover.tsx';
import { ENDS, type Ends, endOf } from './ends.ts';

/** Another name and another end for a share. */
export function ChangeShare({ share }: { share: Share }) {
  const project = useProjectId();
  const [change, { isLoading }] = useChangeShareMutation();
  const [open, setOpen] = useState(false);
  const [name, setName] = useState(share.name);
  const [ends, setEnds] = useState<Ends | 'same'>('same');
  const [fault, setFault] = useState<string | undefined>();
  return (
    <Popover
      label={`Change ${share.name}`}
      align="end"
      open={open}
      onOpenChange={(next) => {
        setOpen(next);
        setName(share.name);
        setEnds('same');
        setFault(undefined);
      }}
      trigger={
        <Button small aria-label={`Change ${share.name} …`}>
          Change …
        </Button>
      }
    >
      <form
        noValidate
        className="flex w-64 flex-col gap-2"
        onSubmit={async (event) => {
          event.preventDefault();
          try {
            await change({
              project,
              share: share.id,
              change: { name, ...(ends === 'same' ? {} : { endsAt: endOf(ends) }) },
            }).unwrap();
            setOpen(false);
          } catch (error) {
            setFault(reasonOf(error));
          }
        }}
      >
        <FormField
          label="Name"
          value={name}
          maxLength={80}
          fault={fault}
          onChange={(event) => setName(event.target.value)}
        />
        <Choice
          label="Expires"
          value={ends}
          options={[{ value: 'same', label: 'as now' }, ...ENDS]}
          onChange={setEnds}
        />
        <Button type="submit" look="primary" disabled={isLoading} className="self-start">
          Change it
        </Button>
      </form>
    </Popover>
  );
}
