import type { Gradient } from '@mint-lamp/core/document/gradients/gradient';
import {
  evenlySpaced,
  mirrored,
  rotatedColors,
  turnedRound,
} from '@mint-lamp/core/edits/gradients/arranged-stops';
import { memo } from 'react';
import { newId, useEditing } from '../../../store/editing.ts';
import { Button } from '../../../ui/button.tsx';
import { TakeFrom } from './take-from.tsx';

/** What is done to all stops at once, each one undo. */
export const ArrangeStops = memo(function ArrangeStops({ gradient }: { gradient: Gradient }) {
  const { edit } = useEditing();
  const set = (stops: Gradient['stops'] | null) =>
    stops && edit({ type: 'setStops', gradient: gradient.id, stops });
  const turn = turnedRound(gradient);
  const double = mirrored(gradient, newId);
  return (
    <fieldset aria-label="All stops" data-help="stops" className="flex flex-wrap gap-1.5">
      <Button small onClick={() => set(evenlySpaced(gradient))}>
        Space evenly
      </Button>
      <Button
        small
        disabled={!turn}
        title={turn ? undefined : 'Positions in px can’t be reversed: the length isn’t known'}
        onClick={() => set(turn)}
      >
        Reverse
      </Button>
      <Button
        small
        disabled={!double}
        title={
          double ? 'Adds the stops again in reverse' : 'That would be more than 64 stops, or some are in px'
        }
        onClick={() => set(double)}
      >
        Mirror
      </Button>
      <Button small title="Moves each colour to the next stop" onClick={() => set(rotatedColors(gradient))}>
        Rotate colours
      </Button>
      <TakeFrom gradient={gradient} />
    </fieldset>
  );
});
