import { LEAVABLE, type Leavable } from '@mint-lamp/core/document/delivery/delivery';
import { writeGroup } from '@mint-lamp/core/document/naming/role-name';
import { useState } from 'react';
import { edit } from '../../../store/editing.ts';
import { useDocumentPart } from '../../../store/selectors.ts';
import { useAppDispatch } from '../../../store/store.ts';
import { Button } from '../../../ui/button.tsx';
import { Dialog } from '../../../ui/dialog.tsx';

const NAMES: Readonly<Record<Leavable, readonly [one: string, many: string]>> = {
  theme: ['theme', 'themes'],
  family: ['family', 'families'],
  role: ['role', 'roles'],
  gradient: ['gradient', 'gradients'],
};

interface Thing {
  readonly id: string;
  readonly name: string;
}

/** The things of each kind, and which of them stay here. */
function useGoing() {
  const themes = useDocumentPart('themes');
  const families = useDocumentPart('families');
  const roles = useDocumentPart('roles');
  const gradients = useDocumentPart('gradients');
  const { leftOut } = useDocumentPart('delivery');
  const lists = { theme: themes, family: families, role: roles, gradient: gradients };
  const out = (kind: Leavable) => {
    const ids = new Set(leftOut[kind]);
    return lists[kind].filter(({ id }) => ids.has(id));
  };
  return { themes, families, roles, gradients, leftOut, out };
}

/** What of the project is handed over: said in a line, chosen in a dialog. */
export function WhatGoes({ needed }: { needed: readonly string[] }) {
  const { out } = useGoing();
  const [open, setOpen] = useState(false);
  const said = LEAVABLE.flatMap((kind) => {
    const count = out(kind).length;
    return count ? `${count} ${NAMES[kind][count === 1 ? 0 : 1]}` : [];
  });
  return (
    <section aria-label="What’s included" data-help="included">
      <h2 className="mb-1 font-title font-semibold">What’s included</h2>
      <p>{said.length ? `Everything but ${said.join(', ')}.` : 'Everything.'}</p>
      {needed.length > 0 && (
        <p className="text-sm text-look">
          Included anyway, because something included needs it: {needed.slice(0, 3).join(', ')}
          {needed.length > 3 && ` and ${needed.length - 3} more`}.
        </p>
      )}
      <Button small className="mt-1" onClick={() => setOpen(true)}>
        Choose what to include
      </Button>
      <Dialog
        open={open}
        onOpenChange={setOpen}
        title="What’s included"
        description="Untick what to leave out. Anything you make later is included."
      >
        <Chooser />
      </Dialog>
    </section>
  );
}

function Chooser() {
  const { themes, families, roles, gradients, out } = useGoing();
  const groups = new Map<string, Thing[]>();
  for (const { id, group, name } of roles) {
    const key = writeGroup(group);
    groups.set(key, [...(groups.get(key) ?? []), { id, name }]);
  }
  const staying = {
    theme: new Set(out('theme').map(({ id }) => id)),
    family: new Set(out('family').map(({ id }) => id)),
    role: new Set(out('role').map(({ id }) => id)),
    gradient: new Set(out('gradient').map(({ id }) => id)),
  };
  return (
    <div className="grid grid-cols-2 gap-x-6 gap-y-4 max-[640px]:grid-cols-1">
      <Ticks title="Themes" kind="theme" things={themes} out={staying.theme} />
      <Ticks title="Gradients" kind="gradient" things={gradients} out={staying.gradient} />
      <Ticks title="Families" kind="family" things={families} out={staying.family} />
      <div className="col-span-full">
        <h3 className="mb-1 font-title font-semibold">Roles</h3>
        <div className="grid grid-cols-3 gap-x-6 gap-y-3 max-[640px]:grid-cols-1">
          {[...groups].map(([group, things]) => (
            <Ticks
              key={group}
              title={group || 'in no group'}
              kind="role"
              things={things}
              out={staying.role}
            />
          ))}
        </div>
      </div>
    </div>
  );
}

interface TicksProps {
  title: string;
  kind: Leavable;
  things: readonly Thing[];
  out: ReadonlySet<string>;
}

/** Things of a kind with a tick each, and one for all of them. */
function Ticks({ title, kind, things, out }: TicksProps) {
  const dispatch = useAppDispatch();
  const leave = (ids: readonly string[], isOut: boolean) =>
    dispatch(edit({ type: 'leaveOut', kind, ids, out: isOut }));
  if (!things.length) return null;
  const going = things.filter(({ id }) => !out.has(id)).length;
  return (
    <fieldset className="min-w-0">
      <legend className="w-full">
        <label className="flex items-center gap-2 border-b border-hair pb-0.5 font-semibold">
          <input
            type="checkbox"
            aria-label={`All of ${title}`}
            checked={going === things.length}
            ref={(box) => {
              if (box) box.indeterminate = going > 0 && going < things.length;
            }}
            onChange={() =>
              leave(
                things.map(({ id }) => id),
                going === things.length,
              )
            }
          />
          <span className="truncate">{title}</span>
        </label>
      </legend>
      {things.map(({ id, name }) => (
        <label key={id} className="flex items-center gap-2 py-px">
          <input type="checkbox" checked={!out.has(id)} onChange={() => leave([id], !out.has(id))} />
          <span className="truncate">{name}</span>
        </label>
      ))}
    </fieldset>
  );
}
