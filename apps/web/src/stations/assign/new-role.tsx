import { useState } from 'react';
import { newId, useEditing } from '../../store/editing.ts';
import { useProjectDocument } from '../../store/selectors.ts';
import { Button } from '../../ui/button.tsx';
import { Popover } from '../../ui/popover.tsx';

/** Adds a role by its path; it begins with the links of the role that it is like, or with none. */
export function NewRole() {
  const { roles } = useProjectDocument();
  const { edit } = useEditing();
  const [open, setOpen] = useState(false);
  const [path, setPath] = useState('');
  const [like, setLike] = useState('');
  const add = () => {
    const links = roles.find((role) => role.id === like)?.links ?? {};
    if (edit({ type: 'addRole', role: { id: newId(), path: path.trim(), links } })) {
      setPath('');
      setOpen(false);
    }
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
          if (path.trim()) add();
        }}
      >
        <label>
          <span className="mb-0.5 block text-sm text-quiet">Path, such as notice/delay/text</span>
          <input
            value={path}
            maxLength={80}
            onChange={(event) => setPath(event.target.value)}
            className="h-8 w-full rounded-md border border-control bg-raised px-2"
          />
        </label>
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
                {role.path}
              </option>
            ))}
          </select>
        </label>
        <Button type="submit" look="primary" disabled={!path.trim()}>
          Add the role
        </Button>
      </form>
    </Popover>
  );
}
