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
    <fieldset aria-label="All stops" className="flex flex-wrap gap-1.5">
      <Button small onClick={() => set(evenlySpaced(gradient))}>
        Space evenly
      </Button>
      <Button
        small
        disabled={!turn}
        title={turn ? undefined : 'Places in px cannot be turned round: their other end is not known'}
        onClick={() => set(turn)}
      >
        Turn round
      </Button>
      <Button
        small
        disabled={!double}
        title={double ? 'There and back again' : 'That would be more than 64 stops, or some are in px'}
        onClick={() => set(double)}
      >
        Mirror
      </Button>
      <Button small title="Each colour one stop further" onClick={() => set(rotatedColors(gradient))}>
        Rotate colours
      </Button>
      <TakeFrom gradient={gradient} />
    </fieldset>
  );
});
