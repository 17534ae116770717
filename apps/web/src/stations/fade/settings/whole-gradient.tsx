import type { Command } from '@mint-lamp/core/document/commands/command';
import { sameJson } from '@mint-lamp/core/document/same';
import { type GradientShift, NO_SHIFT, shiftedStops } from '@mint-lamp/core/edits/gradients/shifted-stops';
import { useEffect, useMemo, useState } from 'react';
import { useEditing } from '../../../store/editing.ts';
import { selectSettledSystem, useTheme } from '../../../store/selectors.ts';
import { useAppSelector } from '../../../store/store.ts';
import { Button } from '../../../ui/button.tsx';
import { Track } from '../../../ui/track.tsx';
import { straightCss, straightened } from '../bench/straight.ts';

const TRACKS = [
  { key: 'lightness', label: 'Lighter', most: 40, of: 100, unit: '' },
  { key: 'saturation', label: 'More colourful', most: 100, of: 100, unit: ' %' },
  { key: 'hue', label: 'Other hue', most: 180, of: 1, unit: '°' },
] as const;
const signed = (value: number, unit: string) =>
  `${value > 0 ? '+' : value < 0 ? '−' : ''}${Math.abs(value)}${unit}`;

/** The whole gradient lighter, more colourful, of another hue: seen before it is taken, with how many stops stay linked. */
export default function WholeGradient({ gradient: id }: { gradient: string }) {
  const { edit, preview } = useEditing();
  const theme = useTheme().theme.id;
  const [shift, setShift] = useState<GradientShift>(NO_SHIFT);
  // As it is without what is shown here.
  const system = useAppSelector(selectSettledSystem);
  const before = system.themes.get(theme)?.gradients.get(id);
  const shifted = useMemo(() => {
    const there = system.themes.get(theme);
    const resolved = there?.gradients.get(id);
    return resolved && shiftedStops({ families: system.families, roles: there!.roles }, resolved, shift);
  }, [system, theme, id, shift]);
  const command = useMemo((): Command | null => {
    if (!shifted || !before || sameJson(shifted.stops, before.gradient.stops)) return null;
    return { type: 'setStops', gradient: id, stops: shifted.stops };
  }, [shifted, before, id]);
  useEffect(() => {
    if (shift === NO_SHIFT) return;
    preview(command);
    return () => preview(null);
  }, [shift, command, preview]);
  if (!before || !shifted) return null;
  const straight = straightened(before, 600);
  const isMoved = shift !== NO_SHIFT;
  return (
    <section aria-label="The whole gradient" data-help="whole-gradient" className="flex flex-col gap-1.5">
      <h2 className="font-title font-semibold">The whole gradient</h2>
      {TRACKS.map(({ key, label, most, of, unit }) => {
        const value = Math.round(shift[key] * of);
        const set = (next: number) => setShift({ ...shift, [key]: next / of });
        return (
          <div key={key} className="grid grid-cols-[104px_1fr_52px] items-center gap-2 text-sm">
            <span>{label}</span>
            <Track
              label={label}
              value={value}
              min={-most}
              max={most}
              step={1}
              background="var(--surface-sunken)"
              valueText={signed(value, unit)}
              onPreview={set}
              onCommit={set}
            />
            <span className="text-right font-mono">{signed(value, unit)}</span>
          </div>
        );
      })}
      {isMoved && (
        <>
          <div aria-hidden data-specimen className="overflow-hidden rounded-md border border-hair">
            <div className="checker h-4">
              <div className="size-full" style={{ background: straightCss(straight) }} />
            </div>
          </div>
          <p role="status" className="text-sm text-quiet">
            The strip and the preview already show it.{' '}
            {shifted.loosened
              ? `${shifted.linked} of ${shifted.linked + shifted.loosened} linked stops walk along their families, ${shifted.loosened} would become plain colours.`
              : `All ${shifted.linked} linked stops walk along their families.`}
          </p>
          <div className="flex gap-2">
            <Button
              look="primary"
              disabled={!command}
              onClick={() => {
                if (command && edit(command)) setShift(NO_SHIFT);
              }}
            >
              Apply
            </Button>
            <Button onClick={() => setShift(NO_SHIFT)}>Reset</Button>
          </div>
        </>
      )}
    </section>
  );
}
