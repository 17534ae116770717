import { split, splitPlaces } from '@mint-lamp/core/edits/families/family-edits';
import type { ResolvedFamily, ResolvedShade } from '@mint-lamp/core/system/families/resolved-family';
import { useState } from 'react';
import { useStore } from 'react-redux';
import { toast } from 'sonner';
import { newId, useEditing } from '../../../store/editing.ts';
import { selectDocument, useSystem } from '../../../store/selectors.ts';
import type { AppStore } from '../../../store/store.ts';
import { Button } from '../../../ui/button.tsx';
import { Choice } from '../../../ui/choice.tsx';
import { Popover } from '../../../ui/popover.tsx';

/** Splits a family in two at a shade; no colour changes by that. */
export function SplitFamily({ family }: { family: string }) {
  const [open, setOpen] = useState(false);
  return (
    <Popover
      label="Split the family"
      open={open}
      onOpenChange={setOpen}
      trigger={<Button look="quiet">Split …</Button>}
    >
      <Splitting family={family} onDone={() => setOpen(false)} />
    </Popover>
  );
}

function Splitting({ family, onDone }: { family: string; onDone: () => void }) {
  const resolved = useSystem().families.get(family);
  const places = resolved ? splitPlaces(resolved) : [];
  if (!resolved || !places.length)
    return <p className="max-w-64">Both parts need at least three shades; this family has too few.</p>;
  return <Places resolved={resolved} places={places} onDone={onDone} />;
}

interface PlacesProps {
  resolved: ResolvedFamily;
  places: readonly number[];
  onDone: () => void;
}

function Places({ resolved, places, onDone }: PlacesProps) {
  const store = useStore() as AppStore;
  const { edit } = useEditing();
  const [at, setAt] = useState(String(places[Math.floor(places.length / 2)]));
  const { shades, family } = resolved;
  // Somebody else may take shades out meanwhile.
  const place = places.includes(Number(at)) ? Number(at) : places[0]!;
  const doIt = () => {
    // Closed first: what is split has no such places any more.
    onDone();
    const command = split(selectDocument(store.getState()), resolved, place, newId());
    if (edit(command)) toast(`${family.name} is two families now; no colour has changed`);
  };
  return (
    <div className="flex w-72 flex-col gap-3">
      <Choice
        label="The darker part begins at"
        value={String(place)}
        options={places.map((i) => ({ value: String(i), label: shades[i]!.label }))}
        onChange={setAt}
      />
      <div className="flex gap-3">
        <HalfOfFamily shades={shades.slice(place)} />
        <HalfOfFamily shades={shades.slice(0, place)} />
      </div>
      <p className="text-sm text-quiet">
        The part with the base stays {family.name}. What points to a shade of the other points to it there.
      </p>
      <Button look="primary" className="self-start" onClick={doIt}>
        Split in two
      </Button>
    </div>
  );
}

/** Dark at the left, as on the rail. */
function HalfOfFamily({ shades }: { shades: readonly ResolvedShade[] }) {
  const dark = [...shades].reverse();
  return (
    <div className="flex-1">
      <div data-specimen className="flex h-8 overflow-hidden rounded-md border border-hair">
        {dark.map((shade) => (
          <span key={shade.label} className="flex-1" style={{ background: shade.css }} />
        ))}
      </div>
      <p className="text-sm">
        {dark[0]!.label} to {dark[dark.length - 1]!.label}
        {shades.some(({ isBase }) => isBase) && <span className="text-quiet">, with the base</span>}
      </p>
    </div>
  );
}
