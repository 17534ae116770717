import type { ResolvedGradient } from '@mint-lamp/core/system/gradients/resolved-gradient';
import { memo, useState } from 'react';
import { Button } from '../../../ui/button.tsx';
import { NumberField } from '../../../ui/number-field.tsx';
import { useAddStop } from '../use-add-stop.ts';

/** Puts a stop of the colour from one place of the gradient at another: what a drag along the strip does. */
export const CarryColor = memo(function CarryColor({ resolved }: { resolved: ResolvedGradient }) {
  const { add } = useAddStop(resolved);
  const [from, setFrom] = useState(25);
  const [to, setTo] = useState(75);
  return (
    <fieldset aria-label="Copy a colour along the gradient" className="flex flex-wrap items-end gap-2">
      <NumberField
        label="Colour at"
        unit="%"
        value={from}
        min={0}
        max={100}
        decimals={1}
        onCommit={setFrom}
        className="w-20"
      />
      <NumberField
        label="to"
        unit="%"
        value={to}
        min={0}
        max={100}
        decimals={1}
        onCommit={setTo}
        className="w-20"
      />
      <Button
        small
        className="mb-1"
        title="Adds a stop there in this colour; with a mouse, drag along the strip"
        onClick={() => add(to, from)}
      >
        Copy the colour there
      </Button>
    </fieldset>
  );
});
