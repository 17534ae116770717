import { familyOfColors } from '@mint-lamp/core/system/families/family-of-colors';
import { cutColors, cutStops, FEWEST_CUTS, MOST_CUTS } from '@mint-lamp/core/system/gradients/cut-gradient';
import type { ResolvedGradient } from '@mint-lamp/core/system/gradients/resolved-gradient';
import { freeName, slugsOf } from '@mint-lamp/core/system/names';
import { useMemo, useState } from 'react';
import { useNavigate } from 'react-router';
import { toast } from 'sonner';
import { addressOf } from '../../../addresses.ts';
import { newId, useEditing } from '../../../store/editing.ts';
import { useProjectDocument, useProjectId } from '../../../store/selectors.ts';
import { useSettled } from '../../../store/use-settled.ts';
import { newSwatches, useColorNames } from '../../../tray/new-swatches.ts';
import { Button } from '../../../ui/button.tsx';
import { ColorChip } from '../../../ui/color-chip.tsx';
import { NumberField } from '../../../ui/number-field.tsx';

/** Cuts the gradient into even colours: for the tray, as a family, or as its own stops. */
export default function CutColors({ resolved }: { resolved: ResolvedGradient }) {
  const doc = useProjectDocument();
  const id = useProjectId();
  const navigate = useNavigate();
  const { edit } = useEditing();
  const [count, setCount] = useState(5);
  const settled = useSettled(resolved);
  const colors = useMemo(() => cutColors(settled, count), [settled, count]);
  const names = useColorNames(colors);
  const { gradient } = resolved;
  if (!colors.length) return null;
  const toTray = () => {
    const there = new Set(doc.tray.map(({ color }) => color));
    const fresh = [...new Set(colors)].filter((color) => !there.has(color));
    const commands = newSwatches(fresh, names).map(
      (swatch) => ({ type: 'addSwatch', swatch: { ...swatch, group: gradient.name } }) as const,
    );
    if (!commands.length) toast('They are in the tray already.');
    else if (edit({ type: 'batch', label: `cut ${gradient.name} into the tray`, commands }))
      toast(
        `${commands.length === 1 ? 'One colour is' : `${commands.length} colours are`} in the tray below`,
      );
  };
  const family = familyOfColors(colors, {
    id: newId(),
    name: freeName(gradient.name, slugsOf(doc.families)),
  });
  const toFamily = () => {
    if (family && edit({ type: 'addFamily', family }))
      toast(`The family ${family.name} was made`, {
        action: { label: 'See at Grow', onClick: () => navigate(addressOf(id, 'grow', family.id)) },
      });
  };
  const toStops = (hard: boolean) =>
    edit({ type: 'setStops', gradient: gradient.id, stops: cutStops(settled, count, hard, newId) });
  return (
    <section aria-label="Cut into colours" className="flex flex-col gap-1.5">
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
            family
              ? 'Lightest first, each exactly as it is here'
              : 'A family has at least three different shades'
          }
          onClick={toFamily}
        >
          As a family
        </Button>
        <Button small title="Its stops instead, evenly" onClick={() => toStops(false)}>
          As even stops
        </Button>
        <Button
          small
          title="Its stops instead, one stretch each with hard edges"
          onClick={() => toStops(true)}
        >
          As stretches
        </Button>
      </div>
    </section>
  );
}
