import { DERIVATIONS, type Derivation } from '@mint-lamp/core/edits/themes/derivation';
import { memo, useState } from 'react';
import { useDocumentPart, useTheme } from '../../../store/selectors.ts';
import { Button } from '../../../ui/button.tsx';
import { Choice } from '../../../ui/choice.tsx';
import { Popover } from '../../../ui/popover.tsx';
import type { Asked } from './use-proposed-theme.ts';

const WAYS: Readonly<Record<Derivation, { readonly label: string; readonly name: string }>> = {
  down: { label: 'Lamp down: dark', name: 'dark' },
  up: { label: 'Lamp up: light', name: 'light' },
  glare: { label: 'Glare: high contrast for sunlight', name: 'glare' },
};

/** Asks for a theme derived from another, which is then seen on the sheet. */
export const DeriveMenu = memo(function DeriveMenu({ onAsk }: { onAsk: (asked: Asked) => void }) {
  const [open, setOpen] = useState(false);
  return (
    <Popover
      label="Derive a theme"
      align="end"
      open={open}
      onOpenChange={setOpen}
      trigger={<Button>Derive a theme …</Button>}
    >
      <DeriveForm
        onAsk={(asked) => {
          setOpen(false);
          onAsk(asked);
        }}
      />
    </Popover>
  );
});

function DeriveForm({ onAsk }: { onAsk: (asked: Asked) => void }) {
  const themes = useDocumentPart('themes');
  const { theme: current } = useTheme();
  const [from, setFrom] = useState(current.id);
  const [way, setWay] = useState<Derivation>('down');
  const [into, setInto] = useState('new');
  const [typed, setTyped] = useState<string | null>(null);
  const source = themes.find(({ id }) => id === from) ?? themes[0]!;
  const taken = new Set(themes.map(({ name }) => name));
  const usual = `${source.name} ${WAYS[way].name}`.slice(0, 80);
  const name = typed ?? usual;
  const fault = into === 'new' && taken.has(name.trim()) ? `There is a theme ${name.trim()} already` : null;
  return (
    <form
      className="flex w-72 flex-col gap-2"
      onSubmit={(event) => {
        event.preventDefault();
        if (fault || !name.trim()) return;
        onAsk({ from: source.id, way, into: into === 'new' ? null : into, name: name.trim() });
      }}
    >
      <Choice
        label="From"
        value={source.id}
        options={themes.map((theme) => ({ value: theme.id, label: theme.name }))}
        onChange={setFrom}
      />
      <Choice
        label="As"
        value={way}
        options={DERIVATIONS.map((value) => ({ value, label: WAYS[value].label }))}
        onChange={setWay}
      />
      <Choice
        label="Save as"
        value={into}
        options={[
          { value: 'new', label: 'a new theme' },
          ...themes
            .filter(({ id }) => id !== source.id)
            .map((theme) => ({ value: theme.id, label: theme.name })),
        ]}
        onChange={setInto}
      />
      {into === 'new' && (
        <label>
          <span className="mb-0.5 block text-sm text-quiet">Its name</span>
          <input
            value={name}
            maxLength={80}
            aria-invalid={fault !== null}
            onChange={(event) => setTyped(event.target.value)}
            className="h-8 w-full rounded-md border border-control bg-raised px-2"
          />
        </label>
      )}
      {fault && (
        <p role="alert" className="text-sm text-fail">
          {fault}
        </p>
      )}
      <p className="text-sm text-quiet">
        Every link moves along its family until all pairs meet their targets. You see it on the sheet first,
        and apply all of it or cell by cell.
      </p>
      <Button type="submit" look="primary" className="self-start" disabled={!name.trim() || fault !== null}>
        Preview on the sheet
      </Button>
    </form>
  );
}
