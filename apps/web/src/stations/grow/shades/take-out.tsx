import { roleNameIn } from '@mint-lamp/core/document/naming/role-name';
import { shadeTakenOut } from '@mint-lamp/core/edits/families/shade-edits';
import { countUses, type Instead, usesOfFamily } from '@mint-lamp/core/edits/links/relink';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { addressOf } from '../../../addresses.ts';
import { useEditing } from '../../../store/editing.ts';
import { useProjectId, useSystem } from '../../../store/selectors.ts';
import { Button } from '../../../ui/button.tsx';
import { Choice } from '../../../ui/choice.tsx';
import { Popover } from '../../../ui/popover.tsx';

interface TakeOutProps {
  family: string;
  label: string;
  isBase: boolean;
  few: boolean;
}

/** Takes a shade out of its family; what used it is asked for another. */
export function TakeOut({ family, label, isBase, few }: TakeOutProps) {
  const [open, setOpen] = useState(false);
  const why = isBase
    ? 'The base is here: move it first'
    : few
      ? 'A family needs at least three shades'
      : undefined;
  return (
    <Popover
      label={`Remove ${label}`}
      open={open}
      onOpenChange={setOpen}
      trigger={
        <Button small look="quiet" disabled={why !== undefined} title={why}>
          Remove it …
        </Button>
      }
    >
      <TakingOut family={family} label={label} onDone={() => setOpen(false)} />
    </Popover>
  );
}

const MOST = 8;

function TakingOut({ family, label, onDone }: { family: string; label: string; onDone: () => void }) {
  const { document, families } = useSystem();
  const id = useProjectId();
  const { edit } = useEditing();
  const navigate = useNavigate();
  const resolved = families.get(family);
  const index = resolved?.shades.findIndex((shade) => shade.label === label) ?? -1;
  const [instead, setInstead] = useState('darker');
  if (!resolved || index < 0) return null;
  const { shades } = resolved;
  const uses = usesOfFamily(document, family, (link) => link.to === 'shade' && link.shade === label);
  const options: { value: string; label: string; instead: Instead }[] = [
    ...(['darker', 'lighter'] as const).flatMap((value) => {
      const shade = shades[index + (value === 'darker' ? 1 : -1)];
      return shade
        ? [
            {
              value,
              label: `${resolved.family.name} ${shade.label}, ${value}`,
              instead: { to: 'shade' as const, family, shade: shade.label },
            },
          ]
        : [];
    }),
    {
      value: 'color',
      label: `${shades[index]!.css}, linked to nothing`,
      instead: { to: 'color', color: shades[index]!.css },
    },
  ];
  const chosen = options.find(({ value }) => value === instead) ?? options[0]!;
  const names = [
    ...new Set([
      ...uses.roles.map(({ role }) => roleNameIn(document.roles, role)),
      ...uses.stops.map(({ gradient }) => document.gradients.find((one) => one.id === gradient)?.name ?? ''),
      ...uses.grounds.map((one) => families.get(one.family)?.family.name ?? ''),
    ]),
  ];
  const doIt = () => {
    if (edit(shadeTakenOut(document, resolved, label, chosen.instead)))
      navigate(addressOf(id, 'grow', family));
    onDone();
  };
  return (
    <div className="flex w-72 flex-col gap-2">
      {countUses(uses) ? (
        <>
          <p>
            Used by {names.slice(0, MOST).join(', ')}
            {names.length > MOST && ` and ${names.length - MOST} more`}.
          </p>
          <Choice label="Use this instead" value={chosen.value} options={options} onChange={setInstead} />
        </>
      ) : (
        <p>Nothing uses it. The other shades stay put.</p>
      )}
      <Button look="danger" className="self-start border-control!" onClick={doIt}>
        Remove {label}
      </Button>
    </div>
  );
}
