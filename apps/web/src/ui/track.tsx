import { clamp } from '@mint-lamp/core/numbers/clamp';
import { Slider } from 'radix-ui';
import { useEffect, useRef, useState } from 'react';
import { announce } from './announce.ts';
import { useHeldPlace } from './held.ts';
import { KeyRun } from './key-run.ts';
import { shareAcross, useDrag } from './use-drag.ts';

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
  /** It was given back with Escape; left out, the value it had is shown again. */
  onGiveBack?: (() => void) | undefined;
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

/** A value on the grid that steps from the least make, without the last bits of a float. */
const onGrid = (value: number, min: number, max: number, step: number) =>
  clamp(Number((min + Math.round((value - min) / step) * step).toFixed(10)), min, max);

/**
 * A slider whose track shows what it does. By pointer it is dragged as everything is, finely with Shift and given back
 * with Escape; a run of keys is one edit.
 */
export function Track(props: TrackProps) {
  const { label, value, min, max, step, background, valueText, onPreview, onCommit, onGiveBack } = props;
  /** What was just committed: keys commit first and tell the change after, which would show it as not yet made. */
  const committed = useRef<number | null>(null);
  const root = useRef<HTMLSpanElement>(null);
  /** What keys have come to. */
  const [held, setHeld] = useState<number | null>(null);
  /** What there was before it was taken hold of, or moved by keys. */
  const before = useRef(value);
  const commit = (next: number) => {
    setHeld(null);
    onCommit(next);
  };
  const giveBack = onGiveBack ?? (() => onPreview(before.current));
  const place = useHeldPlace();
  const [run] = useState(() => new KeyRun(commit, place));
  run.make = commit;
  useEffect(() => () => run.finish(), [run]);
  const drag = useDrag<DOMRect, number>({
    grip(element) {
      run.finish();
      before.current = value;
      element.querySelector<HTMLElement>('[role=slider]')!.focus();
      return element.getBoundingClientRect();
    },
    at: (box, to) => onGrid(min + clamp(shareAcross(box, to), 0, 1) * (max - min), min, max, step),
    show: (next) => (next === null ? giveBack() : onPreview(next)),
    // What comes to nothing is no edit.
    make: (next) => (next === before.current ? giveBack() : onCommit(next)),
    atOnce: true,
  });
  const { onPointerDown, onPointerMove, onPointerUp, onPointerCancel } = drag.pointer;
  return (
    <Slider.Root
      ref={root}
      // What moves has no transform: the browser would lay all of the page out in layers anew with each move.
      className="relative flex h-6 w-full touch-none items-center select-none [--radix-slider-thumb-transform:none]!"
      min={min}
      max={max}
      step={step}
      value={[clamp(held ?? value, min, max)]}
      onKeyDownCapture={(event) => {
        if (event.key === 'Escape' && run.value !== null) {
          event.stopPropagation();
          run.drop();
          setHeld(null);
          giveBack();
          announce('Back to where it was');
        }
        // Undo and all else come after what was pressed before.
        if (!SLIDING.has(event.key)) run.finish();
      }}
      // Before the slider's own, which knows no Escape and no other pointer.
      onPointerDownCapture={(event) => {
        onPointerDown(event);
        // The thumb keeps the focus that it has been given.
        if (drag.isHeld()) event.preventDefault();
      }}
      onPointerMoveCapture={onPointerMove}
      onPointerUpCapture={onPointerUp}
      onPointerCancelCapture={onPointerCancel}
      onLostPointerCaptureCapture={onPointerCancel}
      onBlur={run.finish}
      onValueChange={([next]) => {
        const isMade = committed.current === next;
        committed.current = null;
        if (next !== undefined && !isMade) onPreview(next);
      }}
      onValueCommit={([next]) => {
        if (next === undefined) return;
        committed.current = next;
        if (run.value === null) before.current = value;
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
        className="-ml-1.25 block h-6 w-2.5 rounded-[4px] border-2 border-main bg-raised"
      />
    </Slider.Root>
  );
}
