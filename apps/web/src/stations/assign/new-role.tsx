import { readRoleName, writeRoleName } from '@mint-lamp/core/document/naming/role-name';
import { memo, useState } from 'react';
import { useNavigate } from 'react-router';
import { addressOf } from '../../addresses.ts';
import { newId, useEditing } from '../../store/editing.ts';
import { useDocumentPart, useProjectId } from '../../store/selectors.ts';
import { Button } from '../../ui/button.tsx';
import { Popover } from '../../ui/popover.tsx';

/** Adds a role by its name, with its groups before it; it begins with the links of the role that it is like, or with none. */
export const NewRole = memo(function NewRole() {
  const roles = useDocumentPart('roles');
  const { tryEdit } = useEditing();
  const id = useProjectId();
  const navigate = useNavigate();
  const [open, setOpen] = useState(false);
  const [text, setText] = useState('');
  const [fault, setFault] = useState<string | null>(null);
  const [like, setLike] = useState('');
  const add = () => {
    const result = readRoleName(text);
    if (!result.ok) return setFault(result.reason);
    const { group, name } = result;
    const links = roles.find((role) => role.id === like)?.links ?? {};
    const made = newId();
    const refused = tryEdit({ type: 'addRole', role: { id: made, group, name, links } });
    setFault(refused);
    if (refused) return;
    setText('');
    setOpen(false);
    // It stands at the end of the sheet, which may be far.
    navigate(addressOf(id, 'assign', made), { replace: true });
  };
  return (
    <Popover
      label="New role"
      align="end"
      open={open}
      onOpenChange={setOpen}
      trigger={<Button look="primary">New role …</Button>}
    >
      <form
        className="flex w-72 flex-col gap-2"
        onSubmit={(event) => {
          event.preventDefault();
          if (text.trim()) add();
        }}
      >
        <label>
          <span className="mb-0.5 block text-sm text-quiet">Name, such as notice.delay.text</span>
          <input
            value={text}
            aria-invalid={fault !== null}
            maxLength={80}
            onChange={(event) => {
              setText(event.target.value);
              setFault(null);
            }}
            className="h-8 w-full rounded-md border border-control bg-raised px-2"
          />
        </label>
        {fault && (
          <p role="alert" className="text-sm text-fail">
            {fault}
          </p>
        )}
        <label>
          <span className="mb-0.5 block text-sm text-quiet">Begin with the links of</span>
          <select
            value={like}
            onChange={(event) => setLike(event.target.value)}
            className="h-8 w-full rounded-md border border-control bg-raised px-1"
          >
            <option value="">no other role</option>
            {roles.map((role) => (
              <option key={role.id} value={role.id}>
                {writeRoleName(role)}
              </option>
            ))}
          </select>
        </label>
        <Button type="submit" look="primary" disabled={!text.trim()}>
          Add the role
        </Button>
      </form>
    </Popover>
  );
});
