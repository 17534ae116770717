import { freeName, slugsOf } from '@mint-lamp/core/document/naming/names';
import { familyOfColors } from '@mint-lamp/core/edits/families/family-of-colors';
import { cutColors, cutStops, FEWEST_CUTS, MOST_CUTS } from '@mint-lamp/core/edits/gradients/cut-gradient';
import type { ResolvedGradient } from '@mint-lamp/core/system/gradients/resolved-gradient';
import { memo, useMemo, useState } from 'react';
import { useNavigate } from 'react-router';
import { toast } from 'sonner';
import { addressOf } from '../../../addresses.ts';
import { newSwatches } from '../../../kinds/tray/new-swatches.ts';
import { newId, useEditing } from '../../../store/editing.ts';
import { useDocumentPart, useProjectId } from '../../../store/selectors.ts';
import { Button } from '../../../ui/button.tsx';
import { ColorChip } from '../../../ui/color-chip.tsx';
import { NumberField } from '../../../ui/number-field.tsx';

/** Cuts the gradient into even colours: for the tray, as a family, or as its own stops. */
function CutInto({ resolved }: { resolved: ResolvedGradient }) {
  const families = useDocumentPart('families');
  const tray = useDocumentPart('tray');
  const id = useProjectId();
  const navigate = useNavigate();
  const { edit } = useEditing();
  const [count, setCount] = useState(5);
  const colors = useMemo(() => cutColors(resolved, count), [resolved, count]);
  const { gradient } = resolved;
  const toTray = () => {
    const there = new Set(tray.map(({ color }) => color));
    const fresh = [...new Set(colors)].filter((color) => !there.has(color));
    const commands = newSwatches(fresh).map(
      (swatch) => ({ type: 'addSwatch', swatch: { ...swatch, group: gradient.name } }) as const,
    );
    if (!commands.length) toast('They are in the tray already.');
    else if (edit({ type: 'batch', label: `cut ${gradient.name} into the tray`, commands }))
      toast(
        `${commands.length === 1 ? 'One colour is' : `${commands.length} colours are`} in the tray below`,
      );
  };
  const family = useMemo(
    () => familyOfColors(colors, { id: newId(), name: freeName(gradient.name, slugsOf(families)) }),
    [colors, gradient.name, families],
  );
  const toFamily = () => {
    if (family && edit({ type: 'addFamily', family }))
      toast(`The family ${family.name} was made`, {
        action: { label: 'See at Grow', onClick: () => navigate(addressOf(id, 'grow', family.id)) },
      });
  };
  const toStops = (hard: boolean) =>
    edit({ type: 'setStops', gradient: gradient.id, stops: cutStops(resolved, count, hard, newId) });
  if (!colors.length) return null;
  return (
    <section aria-label="Cut into colours" data-help="cut" className="flex flex-col gap-1.5">
      <h2 className="font-title font-semibold">Cut into colours</h2>
      <div className="flex items-end gap-2">
        <NumberField
          label="How many"
          value={count}
          min={FEWEST_CUTS}
          max={MOST_CUTS}
          onCommit={setCount}
          className="w-18"
        />
        <span
          aria-hidden
          data-specimen
          className="mb-0.5 flex h-7 min-w-0 flex-1 overflow-hidden rounded-md border border-hair"
        >
          {colors.map((color, i) => (
            // biome-ignore lint/suspicious/noArrayIndexKey: a place along the gradient
            <ColorChip key={i} css={color} className="h-full flex-1 rounded-none! border-0!" />
          ))}
        </span>
      </div>
      <div className="flex flex-wrap gap-1.5">
        <Button small onClick={toTray}>
          To the tray
        </Button>
        <Button
          small
          disabled={!family}
          title={
            family ? 'Lightest first, exactly these colours' : 'A family has at least three different shades'
          }
          onClick={toFamily}
        >
          As a family
        </Button>
        <Button small title="Replaces the stops with evenly spaced ones" onClick={() => toStops(false)}>
          As even stops
        </Button>
        <Button small title="Replaces the stops with hard-edged bands" onClick={() => toStops(true)}>
          As hard-edged bands
        </Button>
      </div>
    </section>
  );
}

// Nobody cuts while a stop is dragged: it is given what rests.
export default memo(CutInto);
