import type { Gradient, Stop } from '@mint-lamp/core/document/gradients/gradient';
import { withEnd, withMiddle } from '@mint-lamp/core/edits/gradients/stop-places';
import { percentOf } from '@mint-lamp/core/gradient/model';
import { memo } from 'react';
import { useEditing } from '../../../store/editing.ts';
import { SideMark } from './side-mark.tsx';

const lastOf = ({ places }: Stop) => places[places.length - 1]!;

/** The middles and the ends of flat stretches of a gradient, on its strip. `length` is that of the line, px. */
export const SideMarks = memo(function SideMarks({
  gradient,
  length,
}: {
  gradient: Gradient;
  length: number;
}) {
  const { edit, preview } = useEditing();
  const stops = gradient.stops.flatMap((item, at) => (item.kind === 'stop' ? [{ stop: item, at }] : []));
  const ofMiddle = (stop: string, place: number | null) =>
    ({ type: 'setStops', gradient: gradient.id, stops: withMiddle(gradient, stop, place) }) as const;
  const ofEnd = (stop: string, end: number | null) =>
    ({
      type: 'moveStop',
      gradient: gradient.id,
      stop,
      places: withEnd(gradient, stop, end)!,
    }) as const;
  return (
    <>
      {stops.map(({ stop, at }, i) => {
        if (stop.places.length < 2 && gradient.stops[at + 1]?.kind !== 'hint') return null;
        const next = stops[i + 1]?.stop;
        const hint = gradient.stops[at + 1];
        const [first, second] = stop.places;
        return (
          <div key={stop.id} className="contents">
            {second?.unit === '%' && first.unit === '%' && (
              <SideMark
                label={`End of Stop ${i + 1}`}
                title={`Stop ${i + 1} is one colour up to here. Drag it, or use the arrow keys; Delete makes it one place.`}
                position={second.value}
                from={first.value}
                to={next ? percentOf(next.places[0], length) : 100}
                look="end"
                onLook={(place) => preview(ofEnd(stop.id, place))}
                onMove={(place) => edit(ofEnd(stop.id, place))}
                onRemove={() => edit(ofEnd(stop.id, null))}
                onGiveUp={() => preview(null)}
              />
            )}
            {hint?.kind === 'hint' && next && (
              <SideMark
                label={`Middle between Stop ${i + 1} and Stop ${i + 2}`}
                title="Half of the change is done here. Drag it, or use the arrow keys; Delete puts it half way."
                position={Math.round(percentOf(hint.place, length) * 100) / 100}
                from={percentOf(lastOf(stop), length)}
                to={percentOf(next.places[0], length)}
                look="middle"
                onLook={(place) => preview(ofMiddle(stop.id, place))}
                onMove={(place) => edit(ofMiddle(stop.id, place))}
                onRemove={() => edit(ofMiddle(stop.id, null))}
                onGiveUp={() => preview(null)}
              />
            )}
          </div>
        );
      })}
    </>
  );
});
