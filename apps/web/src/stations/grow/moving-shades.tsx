import type { RefObject } from 'react';
import type { Selection } from '../../store/interface-slice.ts';
import { LiveCanvas } from '../../store/live-canvas.tsx';
import { selectSettledSystem, selectSystem } from '../../store/selectors.ts';
import type { LitStretch } from './lit-stretch.ts';
import { lookOf, paintShades } from './painted-shades.ts';

interface MovingShadesProps {
  family: string;
  stretch: LitStretch;
  selection: Selection | null;
  standing: RefObject<HTMLElement | null>;
}

/** What is painted reaches beyond the rail by so much, px: shades at its ends, what is selected at its top. */
const BEYOND = { x: 24, y: 6 };

/** What moves on a rail, painted with every move of what is dragged; the elements follow when it is their turn. */
export function MovingShades({ family, stretch, selection, standing }: MovingShadesProps) {
  return (
    <LiveCanvas
      standing={standing}
      beyond={BEYOND}
      find={(state) => ({
        now: selectSystem(state).families.get(family),
        settled: selectSettledSystem(state).families.get(family),
      })}
      lookOf={lookOf}
      paint={(context, look, { shades }) => {
        context.clearRect(-BEYOND.x, -BEYOND.y, context.canvas.width, context.canvas.height);
        paintShades(context, look, { shades, stretch, selection });
      }}
    />
  );
}
