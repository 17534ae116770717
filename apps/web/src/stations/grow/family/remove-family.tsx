import { followersOf } from '@mint-lamp/core/document/links/following';
import { roleNameIn } from '@mint-lamp/core/document/naming/role-name';
import { type Replacement, removed } from '@mint-lamp/core/edits/families/family-edits';
import { usesOfFamily } from '@mint-lamp/core/edits/links/relink';
import { useState } from 'react';
import { useStore } from 'react-redux';
import { useNavigate } from 'react-router';
import { toast } from 'sonner';
import { addressOf } from '../../../addresses.ts';
import { useEditing } from '../../../store/editing.ts';
import { selectSystem, useProjectId, useSystem } from '../../../store/selectors.ts';
import type { AppStore } from '../../../store/store.ts';
import { Button } from '../../../ui/button.tsx';
import { Choice } from '../../../ui/choice.tsx';
import { Popover } from '../../../ui/popover.tsx';

/** Removes a family, after what used it was shown and asked what that should use instead. */
export function RemoveFamily({ family }: { family: string }) {
  const [open, setOpen] = useState(false);
  const store = useStore() as AppStore;
  const id = useProjectId();
  const { edit } = useEditing();
  const navigate = useNavigate();
  const remove = (replacement: Replacement) => {
    setOpen(false);
    const system = selectSystem(store.getState());
    const name = system.families.get(family)?.family.name;
    if (!edit(removed(system, family, replacement))) return;
    toast(`${name} is removed; undo brings it back`);
    navigate(addressOf(id, 'grow'));
  };
  return (
    <Popover
      label="Remove the family"
      open={open}
      onOpenChange={setOpen}
      trigger={<Button look="danger">Remove …</Button>}
    >
      <Removing family={family} onRemove={remove} />
    </Popover>
  );
}

const MOST = 8;

function Removing({ family, onRemove }: { family: string; onRemove: (by: Replacement) => void }) {
  const { document, families } = useSystem();
  const others = document.families.filter(({ id }) => id !== family);
  const [by, setBy] = useState<Replacement['by']>(others.length ? 'family' : 'colors');
  const [other, setOther] = useState(others[0]?.id ?? '');
  const resolved = families.get(family);
  if (!resolved) return null;
  const { roles, stops, grounds } = usesOfFamily(document, family);
  const followers = followersOf(document.families, family);
  const nameIn = (list: readonly { id: string; name: string }[], id: string) =>
    list.find((one) => one.id === id)?.name ?? '';
  const users = [
    ...new Set([
      ...roles.map(({ role }) => roleNameIn(document.roles, role)),
      ...stops.map(({ gradient }) => `the gradient ${nameIn(document.gradients, gradient)}`),
      ...grounds.map((one) => `the growth of ${nameIn(document.families, one.family)}`),
    ]),
  ];
  const { name } = resolved.family;
  return (
    <div className="flex w-80 flex-col gap-2">
      {users.length ? (
        <div>
          <p>
            {users.length} {users.length === 1 ? 'thing uses' : 'things use'} {name}:
          </p>
          <ul className="text-sm text-quiet">
            {users.slice(0, MOST).map((user) => (
              <li key={user}>{user}</li>
            ))}
            {users.length > MOST && <li>and {users.length - MOST} more</li>}
          </ul>
        </div>
      ) : (
        <p>Nothing uses {name}.</p>
      )}
      {followers.length > 0 && (
        <p>
          {followers.map((one) => one.name).join(', ')} {followers.length === 1 ? 'follows' : 'follow'} it and{' '}
          {followers.length === 1 ? 'keeps its' : 'keep their'} present base.
        </p>
      )}
      {users.length > 0 && (
        <fieldset className="flex flex-col gap-1">
          <legend className="mb-1 text-sm text-quiet">What should they use instead?</legend>
          {others.length > 0 && (
            <Way label="The shades of another family" on={by === 'family'} onPick={() => setBy('family')} />
          )}
          {by === 'family' && (
            <Choice
              label="Other family"
              hideLabel
              value={other}
              options={others.map((one) => ({ value: one.id, label: one.name }))}
              onChange={setOther}
              className="ml-6"
            />
          )}
          <Way
            label="Their present colours, linked to nothing"
            on={by === 'colors'}
            onPick={() => setBy('colors')}
          />
          <Way
            label="Nothing: leave their links broken"
            on={by === 'nothing'}
            onPick={() => setBy('nothing')}
          />
        </fieldset>
      )}
      <Button
        look="danger"
        className="self-start border-control!"
        onClick={() => onRemove(by === 'family' ? { by, family: other } : { by })}
      >
        Remove {name}
      </Button>
    </div>
  );
}

function Way({ label, on, onPick }: { label: string; on: boolean; onPick: () => void }) {
  return (
    <label className="flex items-center gap-2">
      <input type="radio" name="instead" checked={on} onChange={onPick} />
      {label}
    </label>
  );
}
