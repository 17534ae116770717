import { formatRatio, type Rgba } from '@mint-lamp/core/contrast/ratio';
import { type Way, waysOf } from '@mint-lamp/core/edits/repairs/ways';
import type { Measurement } from '@mint-lamp/core/judged/pairs/measurement';
import { useEffect, useMemo, useRef } from 'react';
import { useEditing } from '../../../store/editing.ts';
import { selectReadout } from '../../../store/selectors.ts';
import { useAppSelector } from '../../../store/store.ts';
import { useMoving } from '../../../store/use-moving.ts';
import { Button } from '../../../ui/button.tsx';
import { effectWords, wayWords } from './repair-of.ts';

const css = ({ r, g, b }: Rgba) => `rgb(${r} ${g} ${b})`;

/** The ways to make a failing pair pass in a theme: what it looks like then, and what that does to all others. */
export default function WaysList({ measurement }: { measurement: Measurement }) {
  const { edit } = useEditing();
  const readout = useAppSelector(selectReadout);
  const moving = useMoving();
  // Those of before the drag stand while it lasts.
  const last = useRef<readonly Way[] | null>(null);
  const ways = useMemo(
    () => (moving && last.current) || waysOf(readout, measurement),
    [readout, measurement, moving],
  );
  useEffect(() => {
    last.current = ways;
  }, [ways]);
  if (!ways.length) return null;
  return (
    <ul
      aria-label="Ways to repair it"
      data-help="repair"
      className="mt-2 flex flex-col gap-2 border-t border-hair pt-2"
    >
      {ways
        .map((way) => ({ ...way, way, ...effectWords(way) }))
        .map(({ way, key, cost, text, ground, ratio, command, mends, breaks }) => (
          <li key={key} className="flex flex-col gap-1">
            <span className="flex items-center gap-2">
              <span
                aria-hidden
                data-specimen
                className="grid h-6 w-12 shrink-0 place-content-center rounded-[4px] border border-hair text-sm font-semibold"
                style={{ background: css(ground), color: css(text) }}
              >
                Aa
              </span>
              <Button
                small
                className="h-auto! min-h-6 py-0.5 text-left whitespace-normal!"
                onClick={() => edit(command)}
              >
                {wayWords(way)}: {formatRatio(ratio)}
              </Button>
            </span>
            <span className="text-sm text-quiet">
              {mends && `${mends} `}
              {breaks && <b className="text-fail">{breaks} </b>}
              {cost}
            </span>
          </li>
        ))}
    </ul>
  );
}
