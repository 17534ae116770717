import type { useSortable } from '@dnd-kit/sortable';
import clsx from 'clsx';
import { ArrowDown, ArrowUp, GripVertical } from 'lucide-react';
import { type FocusEvent, useRef, useState } from 'react';
import { Button } from '../ui/button.tsx';

interface MoveGripProps {
  /** What is moved, by its name and its kind. */
  name: string;
  what: 'family' | 'row';
  sorted: Pick<
    ReturnType<typeof useSortable>,
    'setActivatorNodeRef' | 'attributes' | 'listeners' | 'isDragging'
  >;
  /** Puts it one place up (−1) or down (1). */
  onStep: (way: -1 | 1) => void;
  className: string;
}

const WAYS = [
  { way: -1, says: 'up', Icon: ArrowUp },
  { way: 1, says: 'down', Icon: ArrowDown },
] as const;

/**
 * By what a thing is put elsewhere in its list: dragged, moved by the up and down arrow keys, or, after a single press,
 * by a button each way.
 */
export function MoveGrip({ name, what, sorted, onStep, className }: MoveGripProps) {
  const [asked, setAsked] = useState(false);
  const grip = useRef<HTMLButtonElement>(null);
  const close = () => {
    setAsked(false);
    grip.current?.focus();
  };
  const onLeave = ({ currentTarget, relatedTarget }: FocusEvent) => {
    if (relatedTarget !== grip.current && !currentTarget.contains(relatedTarget)) setAsked(false);
  };
  return (
    <>
      <button
        ref={(element) => {
          grip.current = element;
          sorted.setActivatorNodeRef(element);
        }}
        type="button"
        {...sorted.attributes}
        {...sorted.listeners}
        aria-roledescription={`${what} that can be moved`}
        aria-label={`Move ${name}`}
        aria-expanded={asked}
        title={`Move ${name}: drag it, press it, or use the up and down arrow keys`}
        onClick={() => setAsked(!asked)}
        onKeyDown={(event) => {
          const way = event.key === 'ArrowUp' ? -1 : event.key === 'ArrowDown' ? 1 : null;
          if (way === null || sorted.isDragging) sorted.listeners?.onKeyDown?.(event);
          else {
            event.preventDefault();
            onStep(way);
          }
        }}
        className={clsx(
          'absolute flex w-4 cursor-grab touch-none items-center rounded-md text-quiet focus-visible:opacity-100 pointer-coarse:opacity-100',
          asked ? 'opacity-100' : 'opacity-0',
          className,
        )}
      >
        <GripVertical aria-hidden className="size-4" />
      </button>
      {asked && (
        <fieldset
          aria-label={`Where ${name} goes`}
          onBlur={onLeave}
          onKeyDown={(event) => {
            if (event.key !== 'Escape') return;
            event.stopPropagation();
            close();
          }}
          className="absolute top-1/2 left-1 z-30 flex -translate-y-1/2 gap-px rounded-md border border-control bg-raised shadow-[0_4px_12px_var(--veil-modal)]"
        >
          {WAYS.map(({ way, says, Icon }) => (
            <Button
              key={way}
              small
              look="quiet"
              autoFocus={way === -1}
              aria-label={`Move ${name} ${says}`}
              onClick={() => onStep(way)}
              className="size-[24px] px-0!"
            >
              <Icon aria-hidden className="size-4" />
            </Button>
          ))}
        </fieldset>
      )}
    </>
  );
}
