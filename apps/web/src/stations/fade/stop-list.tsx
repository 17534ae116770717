import { type Gradient, movedTo, type Stop } from '@mint-lamp/core/document/gradients/gradient';
import type { Link } from '@mint-lamp/core/document/links/link';
import { linkName } from '@mint-lamp/core/document/naming/link-name';
import { percentOf } from '@mint-lamp/core/gradient/model';
import type { ResolvedGradient } from '@mint-lamp/core/system/gradients/resolved-gradient';
import clsx from 'clsx';
import { Plus, Trash2 } from 'lucide-react';
import { memo } from 'react';
import { Link as RouterLink } from 'react-router';
import { addressOf } from '../../addresses.ts';
import { useColorDrop } from '../../dragging/color-dragging.tsx';
import { LinkPicker } from '../../links/link-picker.tsx';
import { useEditing } from '../../store/editing.ts';
import { selectProject, useProjectDocument } from '../../store/selectors.ts';
import { useAppSelector } from '../../store/store.ts';
import { Button } from '../../ui/button.tsx';
import { ColorChip } from '../../ui/color-chip.tsx';
import { HelpMark } from '../../ui/help-mark.tsx';
import { IconButton } from '../../ui/icon-button.tsx';
import { NumberField } from '../../ui/number-field.tsx';
import { StopDetail } from './stop-detail.tsx';
import { useAddStop } from './use-add-stop.ts';

/** Px of the line that places in px are compared on. */
const LINE = 600;
const FARTHEST_PX = 10_000;

/** The stops in a list: place, link, and a button that removes; everything that the handles do, by keyboard. */
export function StopList({ resolved, openStop }: { resolved: ResolvedGradient; openStop: string | null }) {
  const { gradient, stops, colors } = resolved;
  const doc = useProjectDocument();
  const { add } = useAddStop(resolved);
  const addInWidestGap = () => {
    const places = stops.map((stop) => percentOf(stop.places[0], LINE));
    let at = 0;
    for (let i = 1; i < places.length - 1; i++)
      if (places[i + 1]! - places[i]! > places[at + 1]! - places[at]!) at = i;
    add(Math.round(((places[at]! + places[at + 1]!) / 2) * 10) / 10);
  };
  return (
    <section aria-label="Stops" data-help="stops">
      <div className="mb-1 flex items-center justify-between">
        <div className="flex items-center gap-1" data-help="post">
          <h2 className="font-title font-semibold">Stops</h2>
          <HelpMark of="post" about="Post" />
        </div>
        <Button small onClick={addInWidestGap}>
          <Plus aria-hidden className="size-4" /> Add a stop
        </Button>
      </div>
      <ol className="divide-y divide-hair border-y border-hair">
        {stops.map((stop, i) => (
          <StopRow
            key={stop.id}
            gradient={gradient.id}
            whole={stop.id === openStop ? gradient : null}
            stop={stop}
            index={i}
            css={colors[i]?.css ?? null}
            linked={linkName(doc, stop.color)}
            on={stop.id === openStop}
            isNeeded={stops.length <= 2}
          />
        ))}
      </ol>
    </section>
  );
}

interface StopRowProps {
  gradient: string;
  /** Of the open one, so that the others are not drawn again with every move. */
  whole: Gradient | null;
  stop: Stop;
  index: number;
  css: string | null;
  /** What it is linked to, in words. */
  linked: string;
  on: boolean;
  /** Whether it is one of the last two. */
  isNeeded: boolean;
}

const StopRow = memo(function StopRow(props: StopRowProps) {
  const { gradient, whole, stop, index, css, linked, on, isNeeded } = props;
  const { value, unit } = stop.places[0];
  const id = useAppSelector((state) => selectProject(state).id);
  const { edit, tryEdit, preview } = useEditing();
  const name = `Stop ${index + 1}`;
  const relink = (link: Link) => ({ type: 'linkStop', gradient, stop: stop.id, link }) as const;
  const drop = useColorDrop(
    `stop ${stop.id}`,
    (color) => edit(relink({ to: 'color', color })),
    (link) => edit(relink(link)),
  );
  return (
    <li
      ref={drop.setNodeRef}
      className={clsx(
        // Of sixty rows those in the window are painted; the focus reaches beyond a row.
        '[contain-intrinsic-height:auto_38px] [content-visibility:auto] [overflow-clip-margin:6px]',
        drop.isOver && 'outline-2 outline-ring',
      )}
    >
      <div className={clsx('flex items-center gap-2 py-1 pl-1', on && 'bg-pressed')}>
        <RouterLink
          to={addressOf(id, 'fade', gradient, stop.id)}
          replace
          aria-label={`${name}, ${css ?? 'no colour'}`}
          className="rounded-md"
        >
          <ColorChip css={css} className="block h-7 w-12" />
        </RouterLink>
        <NumberField
          label={`Place of ${name}`}
          hideLabel
          value={value}
          min={unit === '%' ? 0 : -FARTHEST_PX}
          max={unit === '%' ? 100 : FARTHEST_PX}
          decimals={1}
          unit={unit}
          onCommit={(to) => edit({ type: 'moveStop', gradient, stop: stop.id, places: movedTo(stop, to) })}
          className="w-22 shrink-0"
        />
        <LinkPicker
          link={stop.color}
          label={`Link of ${name}`}
          onPick={(link) => tryEdit(relink(link))}
          onPreview={(link) => preview(link && relink(link))}
          trigger={
            <button
              type="button"
              className="min-w-0 flex-1 truncate rounded-md px-2 py-1 text-left hover:bg-pressed"
            >
              {linked}
            </button>
          }
        />
        <IconButton
          label={`Remove ${name}`}
          hint={isNeeded ? 'A gradient needs at least two stops' : `Remove ${name}`}
          disabled={isNeeded}
          onClick={() => edit({ type: 'removeStop', gradient, stop: stop.id })}
        >
          <Trash2 aria-hidden className="size-4" />
        </IconButton>
      </div>
      {whole && <StopDetail gradient={whole} stop={stop} index={index} />}
    </li>
  );
});
