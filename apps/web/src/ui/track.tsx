import { clamp } from '@mint-lamp/core/numbers/clamp';
import { Slider } from 'radix-ui';
import { useRef } from 'react';

interface TrackProps {
  label: string;
  value: number;
  min: number;
  max: number;
  step: number;
  /** CSS background of the track: what each place of it stands for. */
  background: string;
  valueText: string;
  onPreview: (value: number) => void;
  onCommit: (value: number) => void;
}

/** A slider whose track shows what it does. */
export function Track({
  label,
  value,
  min,
  max,
  step,
  background,
  valueText,
  onPreview,
  onCommit,
}: TrackProps) {
  /** What was just committed: keys commit first and tell the change after, which would show it as not yet made. */
  const committed = useRef<number | null>(null);
  return (
    <Slider.Root
      className="relative flex h-6 w-full touch-none items-center select-none"
      min={min}
      max={max}
      step={step}
      value={[clamp(value, min, max)]}
      onValueChange={([next]) => {
        const isMade = committed.current === next;
        committed.current = null;
        if (next !== undefined && !isMade) onPreview(next);
      }}
      onValueCommit={([next]) => {
        if (next === undefined) return;
        committed.current = next;
        onCommit(next);
      }}
    >
      <Slider.Track className="h-3.5 grow rounded-[4px] border border-hair" style={{ background }}>
        <Slider.Range />
      </Slider.Track>
      <Slider.Thumb
        aria-label={label}
        aria-valuetext={valueText}
        className="block h-6 w-2.5 rounded-[4px] border-2 border-main bg-raised"
      />
    </Slider.Root>
  );
}
