import { type Band, gradientFaults } from '@mint-lamp/core/gradient/analyse';
import { paintedGradient, type ResolvedGradient } from '@mint-lamp/core/system/gradients/resolved-gradient';
import { stopFaults } from '@mint-lamp/core/system/gradients/stop-faults';
import { TriangleAlert } from 'lucide-react';
import { type ReactNode, useDeferredValue, useMemo, useState } from 'react';
import { useEditing } from '../../store/editing.ts';
import { useSettled } from '../../store/use-settled.ts';
import { Button } from '../../ui/button.tsx';
import { useAddStop } from './use-add-stop.ts';

const NO_BAND: Band = { from: 0, to: 0, px: 0 };
/** Faults that are listed at first. */
const MOST = 5;
/** How much a stop that is never seen, and a band for each of its px, weigh beside differences in ΔE OK. */
const HIDDEN_WEIGHS = 0.03;
const BAND_WEIGHS = 0.001;

interface Told {
  readonly key: string;
  /** The worst first. */
  readonly weight: number;
  readonly says: ReactNode;
}

/** What may trouble the eye in a gradient, in words, with a remedy where there is one; the worst first, nothing when all is well. */
export function Faults({ resolved, length }: { resolved: ResolvedGradient; length: number }) {
  // Looking costs more than drawing: while something is dragged nobody reads, and after it the words may come a moment later.
  const settled = useDeferredValue(useSettled(resolved));
  const addStop = useAddStop(resolved);
  const { edit } = useEditing();
  const [all, setAll] = useState(false);
  const faults = useMemo(() => {
    const painted = paintedGradient(settled);
    return painted && gradientFaults(painted, { length });
  }, [settled, length]);
  const ofStops = useMemo(() => stopFaults(settled), [settled]);
  if (!faults) return null;
  // Faults count the stops that have a colour; the list beside counts all.
  const numbers = settled.colors.flatMap((color, i) => (color ? [i + 1] : []));
  const widest = faults.bands.reduce((most, band) => (band.px > most.px ? band : most), NO_BAND);
  const told: Told[] = [
    ...faults.greyDips.map(({ place, chroma, expected, remedy }) => ({
      key: `grey ${place}`,
      weight: expected - chroma,
      says: (
        <>
          Greyer at {whole(place)} %: chroma sinks to {chroma.toFixed(3)}, the stops beside it have{' '}
          {expected.toFixed(3)} and more.
          <Button small onClick={() => addStop(whole(place), remedy)}>
            <span
              aria-hidden
              data-specimen
              className="size-3 rounded-full"
              style={{ background: `rgb(${remedy.r} ${remedy.g} ${remedy.b})` }}
            />
            Mend it with a stop of this colour
          </Button>
        </>
      ),
    })),
    ...ofStops.map((fault) =>
      fault.kind === 'seam'
        ? {
            key: 'seam',
            weight: fault.difference,
            says: (
              <>
                Its ends meet in two colours (ΔE OK {fault.difference.toFixed(3)}): a seam is seen.
                <Button small onClick={() => edit(fault.mend)}>
                  End it as it begins
                </Button>
              </>
            ),
          }
        : {
            key: `hidden ${fault.stop}`,
            weight: HIDDEN_WEIGHS,
            says: (
              <>
                Stop {fault.stop + 1} is never seen: the ones beside it stand where it stands.
                <Button small onClick={() => edit(fault.mend)}>
                  Take it out
                </Button>
              </>
            ),
          },
    ),
    ...faults.twins.map(({ a, b, difference }) => ({
      key: `twins ${a}`,
      weight: 0.02 - difference,
      says: `Stop ${numbers[a]} and Stop ${numbers[b]} can hardly be told apart (ΔE OK ${difference.toFixed(3)}).`,
    })),
    ...(widest.px > 0
      ? [
          {
            key: 'bands',
            weight: widest.px * BAND_WEIGHS,
            says: `So slow a change that one colour is up to ${widest.px} px wide on the ${length} px that it goes here, at ${whole(widest.from)}–${whole(widest.to)} %: bands may show.`,
          },
        ]
      : []),
  ].sort((a, b) => b.weight - a.weight);
  if (!told.length) return null;
  return (
    <ul aria-label="Worth a look" className="flex flex-col gap-0.5">
      {told.slice(0, all ? told.length : MOST).map(({ key, says }) => (
        <Fault key={key}>{says}</Fault>
      ))}
      {told.length > MOST && !all && (
        <li>
          <Button small look="quiet" onClick={() => setAll(true)}>
            Show {told.length - MOST} more
          </Button>
        </li>
      )}
    </ul>
  );
}

const whole = (n: number) => Math.round(n);

function Fault({ children }: { children: ReactNode }) {
  return (
    <li className="flex items-center gap-1.5 text-sm">
      <TriangleAlert aria-hidden className="size-3.5 shrink-0 text-quiet" />
      {children}
    </li>
  );
}
