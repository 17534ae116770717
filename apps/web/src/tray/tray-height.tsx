import { clamp } from '@mint-lamp/core/numbers/clamp';
import { ChevronDown, ChevronUp } from 'lucide-react';
import { useEffect, useRef, useState } from 'react';
import { lasting } from '../storing/storage.ts';
import { IconButton } from '../ui/icon-button.tsx';
import { useDrag } from '../ui/use-drag.ts';

const LOWEST_PX = 68;
const TALL_PX = 250;
const STEP_PX = 60;
const KEY = 'mint-lamp/tray-height';

const held = (px: number) => Math.round(clamp(px, LOWEST_PX, innerHeight * 0.6));

export interface TrayHeight {
  readonly px: number;
  /** While it is dragged it is not kept yet. */
  readonly set: (px: number, final: boolean) => void;
}

/** How tall the tray is, px; kept in this browser, and never more than leaves the work some room. */
export function useTrayHeight(): TrayHeight {
  const [px, setPx] = useState(() => held(Number(lasting.read(KEY)) || LOWEST_PX));
  useEffect(() => {
    const onResize = () => setPx(held);
    addEventListener('resize', onResize);
    return () => removeEventListener('resize', onResize);
  }, []);
  const set = (wanted: number, final: boolean) => {
    setPx(held(wanted));
    if (final) lasting.write(KEY, String(held(wanted)));
  };
  return { px, set };
}

/** The edge of the tray, for the mouse; {@link TallerTray} does the same by keys. */
export function TrayEdge({ height }: { height: TrayHeight }) {
  const before = useRef(height.px);
  const { pointer } = useDrag({
    grip: (_, at) => {
      before.current = height.px;
      return at.y + height.px;
    },
    at: (edge, to) => edge - to.y,
    show: (px) => height.set(px ?? before.current, false),
    make: (px) => height.set(px, true),
    says: (px) => `The tray is ${held(px)} px tall`,
  });
  return (
    <div
      aria-hidden
      {...pointer}
      className="absolute inset-x-0 -top-1 z-10 h-2 cursor-row-resize touch-none hover:bg-control"
    />
  );
}

/** Makes the tray taller or lower: by a press at once, by arrow keys step by step. */
export function TallerTray({ height }: { height: TrayHeight }) {
  const isTall = height.px > LOWEST_PX + STEP_PX / 2;
  return (
    <IconButton
      label={isTall ? 'Make the tray shorter' : 'Make the tray taller'}
      hint={`${isTall ? 'Shorter' : 'Taller'}; arrow keys move its edge step by step, the mouse drags it`}
      onClick={() => height.set(isTall ? LOWEST_PX : TALL_PX, true)}
      onKeyDown={(event) => {
        const by = event.key === 'ArrowUp' ? STEP_PX : event.key === 'ArrowDown' ? -STEP_PX : 0;
        if (!by) return;
        event.preventDefault();
        height.set(height.px + by, true);
      }}
    >
      {isTall ? <ChevronDown aria-hidden className="size-4" /> : <ChevronUp aria-hidden className="size-4" />}
    </IconButton>
  );
}
