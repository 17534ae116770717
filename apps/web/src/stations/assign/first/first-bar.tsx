import { MOST_FIRST_COLORS } from '@mint-lamp/core/edits/first-system';
import { useState } from 'react';
import { toast } from 'sonner';
import { SceneThumb } from '../../../scene/scene-thumb.tsx';
import { useDocumentPart, useSystem } from '../../../store/selectors.ts';
import { Button } from '../../../ui/button.tsx';
import { Choice } from '../../../ui/choice.tsx';
import { ColorChip } from '../../../ui/color-chip.tsx';
import { Track } from '../../../ui/track.tsx';
import { useFocusOnce } from '../../../ui/use-focus-once.ts';
import { PartChoice } from '../starter/part-choice.tsx';
import type { ProposedSystem } from './use-first-system.ts';

const LEVELS = [
  { value: 'AA', label: 'AA, the usual' },
  { value: 'AAA', label: 'AAA, more' },
] as const;

/** The proposed system as a page, in its light and its dark theme. */
function Pages() {
  const { themes } = useSystem();
  return (
    <div className="flex gap-2">
      {[...themes.values()].slice(0, 2).map((theme) => (
        <figure key={theme.theme.id} className="m-0">
          <SceneThumb theme={theme} width={196} height={138} />
          <figcaption className="text-sm text-quiet">{theme.theme.name}</figcaption>
        </figure>
      ))}
    </div>
  );
}

function ItsColors({ proposed: { draft, set, colors } }: { proposed: ProposedSystem }) {
  const tray = useDocumentPart('tray');
  const toggle = (id: string) => {
    const swatches = draft.swatches.includes(id)
      ? draft.swatches.filter((one) => one !== id)
      : [...draft.swatches, id];
    set({ swatches, leads: 0, accent: null });
  };
  return (
    <fieldset aria-label="Its colours" className="flex flex-wrap gap-x-3 gap-y-1">
      {tray.slice(0, 24).map(({ id, name, color }) => {
        const on = draft.swatches.includes(id);
        return (
          <label key={id} className="flex items-center gap-1.5">
            <input
              type="checkbox"
              checked={on}
              disabled={!on && colors.length >= MOST_FIRST_COLORS}
              onChange={() => toggle(id)}
            />
            <ColorChip css={color} className="size-4" />
            {name}
          </label>
        );
      })}
    </fieldset>
  );
}

function Settings({ proposed: { draft, set, colors } }: { proposed: ProposedSystem }) {
  const places = colors.map(({ name }, i) => ({ value: String(i), label: name }));
  return (
    <div className="grid grid-cols-2 items-end gap-x-3 gap-y-2">
      <Choice
        label="Leads"
        value={String(draft.leads)}
        options={places}
        onChange={(at) =>
          set({ leads: Number(at), accent: draft.accent === Number(at) ? null : draft.accent })
        }
      />
      <Choice
        label="Accent"
        value={draft.accent === null ? 'none' : String(draft.accent)}
        options={[
          { value: 'none', label: 'none' },
          ...places.filter(({ value }) => value !== String(draft.leads)),
        ]}
        onChange={(at) => set({ accent: at === 'none' ? null : Number(at) })}
      />
      <div>
        <span className="block text-sm text-quiet">Calm</span>
        <div className="flex h-8 items-center">
          <Track
            label="Calm"
            value={draft.calm * 100}
            min={0}
            max={100}
            step={10}
            background="var(--surface-sunken)"
            valueText={`${Math.round(draft.calm * 100)} %`}
            onPreview={() => {}}
            onCommit={(calm) => set({ calm: calm / 100 })}
          />
        </div>
      </div>
      <Choice
        label="Contrast of text"
        value={draft.level}
        options={LEVELS}
        onChange={(level) => set({ level })}
      />
    </div>
  );
}

/** What a first system is made of, changed part by part, with its reasons; the sheet below shows it meanwhile. */
export function FirstBar({ proposed }: { proposed: ProposedSystem }) {
  const themes = useDocumentPart('themes');
  const [refused, setRefused] = useState<string | null>(null);
  const next = useFocusOnce<HTMLButtonElement>();
  const { draft, set, first, leave } = proposed;
  const take = () => {
    const reason = proposed.take();
    setRefused(reason);
    if (!reason) toast('Your first system is in place; undo removes all of it');
  };
  return (
    <section
      aria-label="Proposed: a first system"
      className="mx-5 mb-2 flex flex-col gap-2 rounded-md border border-control bg-raised px-3 py-2"
    >
      <div className="flex flex-wrap items-center gap-x-3 gap-y-1">
        <p role="status" className="min-w-0 flex-1">
          <b>A first system</b> is proposed on the sheet
          {first && (
            <>
              :{' '}
              <span className={first.failing ? 'text-fail' : 'text-pass'}>
                {first.pairs * 2 - first.failing} of {first.pairs * 2} pairs pass
              </span>{' '}
              in {themes.map(({ name }) => name).join(' and ')}
            </>
          )}
          .
        </p>
        <Button ref={next} data-next small look="primary" disabled={!first} onClick={take}>
          Apply
        </Button>
        <Button small onClick={leave}>
          Discard
        </Button>
      </div>
      <ItsColors proposed={proposed} />
      <div className="grid grid-cols-[1fr_auto] narrow:grid-cols-1 gap-5">
        <div className="flex min-w-0 flex-col gap-2">
          <Settings proposed={proposed} />
          <PartChoice parts={draft.parts} always={['page', 'text']} onChange={(parts) => set({ parts })} />
        </div>
        {first && <Pages />}
      </div>
      {first && (
        <details>
          <summary className="cursor-pointer text-sm text-quiet">Why these</summary>
          <ul className="text-sm">
            {first.reasons.map(({ what, why }) => (
              <li key={`${what} ${why}`}>
                <b>{what}</b> {why}.
              </li>
            ))}
          </ul>
        </details>
      )}
      {!first && <p className="text-sm text-look">Choose at least one colour.</p>}
      {refused && (
        <p role="alert" className="text-sm text-fail">
          {refused}
        </p>
      )}
    </section>
  );
}
