import { type Band, gradientFaults } from '@mint-lamp/core/gradient/analyse';
import { paintedGradient, type ResolvedGradient } from '@mint-lamp/core/system/gradients/resolved-gradient';
import { TriangleAlert } from 'lucide-react';
import { type ReactNode, useDeferredValue, useMemo } from 'react';
import { useSettled } from '../../store/use-settled.ts';
import { Button } from '../../ui/button.tsx';
import { useAddStop } from './use-add-stop.ts';

const NO_BAND: Band = { from: 0, to: 0, px: 0 };

/** What may trouble the eye in a gradient, in words, with a remedy where there is one; nothing when all is well. */
export function Faults({ resolved, length }: { resolved: ResolvedGradient; length: number }) {
  // Looking costs more than drawing: while something is dragged nobody reads, and after it the words may come a moment later.
  const settled = useDeferredValue(useSettled(resolved));
  const addStop = useAddStop(resolved);
  const faults = useMemo(() => {
    const painted = paintedGradient(settled);
    return painted && gradientFaults(painted, { length });
  }, [settled, length]);
  if (!faults || !(faults.greyDips.length + faults.twins.length + faults.bands.length)) return null;
  // Faults count the stops that have a colour; the list beside counts all.
  const numbers = settled.colors.flatMap((color, i) => (color ? [i + 1] : []));
  const widest = faults.bands.reduce((most, band) => (band.px > most.px ? band : most), NO_BAND);
  return (
    <ul aria-label="Worth a look" className="flex flex-col gap-0.5">
      {faults.greyDips.map(({ place, chroma, expected, remedy }) => (
        <Fault key={place}>
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
        </Fault>
      ))}
      {faults.twins.map(({ a, b, difference }) => (
        <Fault key={a}>
          Stop {numbers[a]} and Stop {numbers[b]} can hardly be told apart (ΔE OK {difference.toFixed(3)}).
        </Fault>
      ))}
      {widest.px > 0 && (
        <Fault>
          So slow a change that one colour is up to {widest.px} px wide on the {length} px that it goes here,
          at {whole(widest.from)}–{whole(widest.to)} %: bands may show.
        </Fault>
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
