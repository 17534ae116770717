import type { ResolvedGradient } from '@mint-lamp/core/system/resolve-gradients';
import clsx from 'clsx';
import { Plus, Trash2 } from 'lucide-react';
import { Link } from 'react-router';
import { addressOf } from '../../addresses.ts';
import { useColorDrop } from '../../frame/color-dragging.tsx';
import { linkName } from '../../links/link-name.ts';
import { LinkPicker } from '../../links/link-picker.tsx';
import { useEditing } from '../../store/editing.ts';
import { selectProject, useProjectDocument } from '../../store/selectors.ts';
import { useAppSelector } from '../../store/store.ts';
import { Button } from '../../ui/button.tsx';
import { ColorChip } from '../../ui/color-chip.tsx';
import { IconButton } from '../../ui/icon-button.tsx';
import { NumberField } from '../../ui/number-field.tsx';
import { useAddStop } from './use-add-stop.ts';

/** The stops in a list: place, link, and a button that removes; everything that the handles do, by keyboard. */
export function StopList({ resolved, openStop }: { resolved: ResolvedGradient; openStop: string | null }) {
  const { gradient } = resolved;
  const addStop = useAddStop(resolved);
  const addInWidestGap = () => {
    const { stops } = gradient;
    let at = 0;
    for (let i = 1; i < stops.length - 1; i++)
      if (stops[i + 1]!.position - stops[i]!.position > stops[at + 1]!.position - stops[at]!.position) at = i;
    const position = Math.round(((stops[at]!.position + stops[at + 1]!.position) / 2) * 10) / 10;
    addStop(position);
  };
  return (
    <section aria-label="Stops">
      <div className="mb-1 flex items-center justify-between">
        <h2 className="font-title font-semibold">Stops</h2>
        <Button small onClick={addInWidestGap}>
          <Plus aria-hidden className="size-4" /> Add a stop
        </Button>
      </div>
      <ol className="divide-y divide-hair border-y border-hair">
        {gradient.stops.map((stop, i) => (
          <StopRow key={stop.id} resolved={resolved} index={i} on={stop.id === openStop} />
        ))}
      </ol>
    </section>
  );
}

function StopRow({ resolved, index, on }: { resolved: ResolvedGradient; index: number; on: boolean }) {
  const { gradient, colors } = resolved;
  const stop = gradient.stops[index]!;
  const doc = useProjectDocument();
  const id = useAppSelector((state) => selectProject(state).id);
  const { edit, preview } = useEditing();
  const name = `Stop ${index + 1}`;
  const css = colors[index]?.css ?? null;
  const relink = (link: typeof stop.link) =>
    ({ type: 'linkStop', gradient: gradient.id, stop: stop.id, link }) as const;
  const drop = useColorDrop(`stop ${stop.id}`, (color) => edit(relink({ to: 'color', color })));
  return (
    <li
      ref={drop.setNodeRef}
      className={clsx(
        'flex items-center gap-2 py-1 pl-1',
        on && 'bg-pressed',
        drop.isOver && 'outline-2 outline-ring',
      )}
    >
      <Link
        to={addressOf(id, 'fade', gradient.id, stop.id)}
        replace
        aria-label={`${name}, ${css ?? 'no colour'}`}
        className="rounded-md"
      >
        <ColorChip css={css} className="block h-7 w-12" />
      </Link>
      <NumberField
        label={`Place of ${name}`}
        hideLabel
        value={stop.position}
        min={0}
        max={100}
        decimals={1}
        unit="%"
        onCommit={(position) => edit({ type: 'moveStop', gradient: gradient.id, stop: stop.id, position })}
        className="w-22 shrink-0"
      />
      <LinkPicker
        link={stop.link}
        label={`Link of ${name}`}
        onPick={(link) => edit(relink(link))}
        onPreview={(link) => preview(link && relink(link))}
        trigger={
          <button
            type="button"
            className="min-w-0 flex-1 truncate rounded-md px-2 py-1 text-left hover:bg-pressed"
          >
            {linkName(doc, stop.link)}
          </button>
        }
      />
      <IconButton
        label={`Remove ${name}`}
        hint={gradient.stops.length <= 2 ? 'A gradient needs at least two stops' : `Remove ${name}`}
        disabled={gradient.stops.length <= 2}
        onClick={() => edit({ type: 'removeStop', gradient: gradient.id, stop: stop.id })}
      >
        <Trash2 aria-hidden className="size-4" />
      </IconButton>
    </li>
  );
}
