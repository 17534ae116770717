import { clamp } from '@mint-lamp/core/numbers/clamp';
import { Slider } from 'radix-ui';
import { useEffect, useRef, useState } from 'react';
import { KeyRun } from './key-run.ts';

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

/** Keys that slide, and those that are held with them. */
const SLIDING = new Set([
  'ArrowLeft',
  'ArrowRight',
  'ArrowUp',
  'ArrowDown',
  'PageUp',
  'PageDown',
  'Home',
  'End',
  'Shift',
]);

/** A slider whose track shows what it does. A run of keys is one edit. */
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
  const root = useRef<HTMLSpanElement>(null);
  const byKey = useRef(false);
  /** What keys have come to. */
  const [held, setHeld] = useState<number | null>(null);
  const commit = (next: number) => {
    setHeld(null);
    onCommit(next);
  };
  const [run] = useState(() => new KeyRun(commit));
  run.make = commit;
  useEffect(() => () => run.finish(), [run]);
  return (
    <Slider.Root
      ref={root}
      className="relative flex h-6 w-full touch-none items-center select-none"
      min={min}
      max={max}
      step={step}
      value={[clamp(held ?? value, min, max)]}
      onKeyDownCapture={(event) => {
        byKey.current = true;
        // Undo and all else come after what was pressed before.
        if (!SLIDING.has(event.key)) run.finish();
      }}
      onPointerDownCapture={() => {
        byKey.current = false;
        run.finish();
      }}
      onBlur={run.finish}
      onValueChange={([next]) => {
        const isMade = committed.current === next;
        committed.current = null;
        if (next !== undefined && !isMade) onPreview(next);
      }}
      onValueCommit={([next]) => {
        if (next === undefined) return;
        committed.current = next;
        if (!byKey.current) {
          onCommit(next);
          return;
        }
        setHeld(next);
        run.goOn(next, root.current!);
        onPreview(next);
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
