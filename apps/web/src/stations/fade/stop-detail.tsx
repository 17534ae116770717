import { type Gradient, percents, type Stop } from '@mint-lamp/core/document/gradients/gradient';
import type { Link } from '@mint-lamp/core/document/links/link';
import { middleAfter, withEnd, withMiddle } from '@mint-lamp/core/edits/gradients/stop-places';
import { useEditing } from '../../store/editing.ts';
import { Button } from '../../ui/button.tsx';
import { NumberField } from '../../ui/number-field.tsx';

/** Percent that a flat stretch has at first, where there is room. */
const FLAT = 10;

/** What of the open stop is no place and no colour: its opacity, how far it is flat, where the change after it has its middle. */
export function StopDetail({ gradient, stop, index }: { gradient: Gradient; stop: Stop; index: number }) {
  const { edit } = useEditing();
  const at = gradient.stops.indexOf(stop);
  const after = gradient.stops.slice(at + 1).find((item) => item.kind === 'stop');
  const own = percents(stop);
  const next = after && percents(after);
  const middle = middleAfter(gradient, stop.id);
  const [, second] = stop.places;
  const places = (end: number | null) => {
    const changed = withEnd(gradient, stop.id, end);
    if (changed) edit({ type: 'moveStop', gradient: gradient.id, stop: stop.id, places: changed });
  };
  const setMiddle = (place: number | null) =>
    edit({ type: 'setStops', gradient: gradient.id, stops: withMiddle(gradient, stop.id, place) });
  const opacity = stop.color.opacity ?? 1;
  const setOpacity = (percent: number) => {
    const { opacity: _, ...rest } = stop.color;
    const link = (percent === 100 ? rest : { ...rest, opacity: percent / 100 }) as Link;
    edit({ type: 'linkStop', gradient: gradient.id, stop: stop.id, link });
  };
  const name = `Stop ${index + 1}`;
  return (
    <div className="flex flex-wrap items-end gap-x-3 gap-y-1.5 bg-pressed px-1 pb-1.5">
      <NumberField
        label="Opacity"
        unit="%"
        value={opacity * 100}
        min={0}
        max={100}
        onCommit={setOpacity}
        className="w-20"
      />
      {own && second ? (
        <>
          <NumberField
            label="Flat up to"
            unit="%"
            value={own[1]}
            min={own[0]}
            max={next?.[0] ?? 100}
            decimals={1}
            onCommit={places}
            className="w-22"
          />
          <Button small onClick={() => places(null)} className="mb-1" aria-label={`${name}: one place again`}>
            Back to one position
          </Button>
        </>
      ) : (
        own && (
          <Button
            small
            className="mb-1"
            title="One flat colour up to there, with a hard edge if the next stop begins at its end"
            aria-label={`${name}: flat for a while`}
            disabled={own[0] >= (next?.[0] ?? 100)}
            onClick={() => places(own[0] + FLAT)}
          >
            Make a flat stretch
          </Button>
        )
      )}
      {own && next && middle?.unit === '%' ? (
        <>
          <NumberField
            label="Middle after it"
            unit="%"
            value={middle.value}
            min={own[1]}
            max={next[0]}
            decimals={1}
            onCommit={setMiddle}
            className="w-28"
          />
          <Button
            small
            onClick={() => setMiddle(null)}
            className="mb-1"
            aria-label={`${name}: middle half way`}
          >
            Back to halfway
          </Button>
        </>
      ) : (
        own &&
        next &&
        !middle && (
          <Button
            small
            className="mb-1"
            title="Where half of the change to the next stop is done"
            aria-label={`${name}: move the middle to the next`}
            disabled={next[0] <= own[1]}
            onClick={() => setMiddle(Math.round((own[1] + (next[0] - own[1]) * 0.35) * 10) / 10)}
          >
            Move the middle
          </Button>
        )
      )}
    </div>
  );
}
