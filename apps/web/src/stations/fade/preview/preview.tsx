import { sameJson } from '@mint-lamp/core/document/same';
import { clamp } from '@mint-lamp/core/numbers/clamp';
import { gradientCss } from '@mint-lamp/core/system/gradients/gradient-css';
import type { ResolvedGradient } from '@mint-lamp/core/system/gradients/resolved-gradient';
import clsx from 'clsx';
import { type CSSProperties, type ReactNode, useLayoutEffect, useRef } from 'react';
import { useSampleWords } from '../../../store/selectors.ts';
import { useDrag } from '../../../ui/use-drag.ts';
import { PurposeContent } from './purpose-content.tsx';
import { type BoxSize, type Purpose, SIZES } from './purposes.ts';

interface PreviewProps {
  resolved: ResolvedGradient;
  purpose: Purpose;
  box: BoxSize;
  /** How much smaller it is painted than it is; geometry goes by its own size. */
  scale?: number;
  /** Without the words that belong on it, as for trying others. */
  isBare?: boolean;
  /** Takes another size of a box; it can be dragged then. */
  onBox?: (box: BoxSize) => void;
  onSize?: (size: BoxSize) => void;
  /** What lies over it, such as the handles of its geometry. */
  children?: ReactNode;
}

/** Px of a box's sides that are taken, and of the room that it stands in the middle of. */
export const SMALLEST_BOX = 8;
export const LARGEST_BOX = 4000;
const ROOM = 172;

/** A gradient as the thing that it is for. */
export function Preview({
  resolved,
  purpose,
  box,
  scale = 1,
  isBare = false,
  onBox,
  onSize,
  children,
}: PreviewProps) {
  const painted = useRef<HTMLDivElement>(null);
  const { text, action } = useSampleWords();
  useLayoutEffect(() => {
    if (!onSize) return;
    const observer = new ResizeObserver(([entry]) => {
      const { width, height } = entry!.contentRect;
      onSize({ width, height });
    });
    observer.observe(painted.current!);
    return () => observer.disconnect();
  }, [onSize]);
  const css = gradientCss(resolved) ?? undefined;
  const size = purpose === 'box' ? box : SIZES[purpose];
  const style: CSSProperties = {
    width: size.width ? size.width * scale : '100%',
    height: size.height * scale,
    maxWidth: '100%',
  };
  return (
    <div
      ref={painted}
      data-specimen
      data-testid={onSize ? 'gradient-preview' : undefined}
      className={clsx(
        'relative grid place-items-center',
        purpose === 'ring' ? 'rounded-full' : purpose !== 'text' && 'checker rounded-md',
      )}
      style={style}
    >
      <div
        aria-hidden
        className={clsx(
          'absolute inset-0 grid place-items-center overflow-hidden',
          purpose === 'ring' ? 'rounded-full' : 'rounded-[5px]',
        )}
        style={
          purpose === 'text'
            ? {
                backgroundImage: css,
                backgroundClip: 'text',
                WebkitBackgroundClip: 'text',
                color: 'transparent',
                fontSize: 64 * scale,
                fontWeight: 800,
                whiteSpace: 'nowrap',
              }
            : {
                background: css,
                ...(purpose === 'ring'
                  ? { mask: 'radial-gradient(closest-side, transparent 76%, #000 77%)' }
                  : {}),
              }
        }
      >
        {purpose === 'text'
          ? text
          : scale === 1 && !isBare && <PurposeContent purpose={purpose} words={text} action={action} />}
      </div>
      {children}
      {purpose === 'box' && onBox && <BoxCorner box={box} onBox={onBox} />}
    </div>
  );
}

/** The corner by which a box is made larger and smaller; by keyboard its figures do it. */
function BoxCorner({ box, onBox }: { box: BoxSize; onBox: (box: BoxSize) => void }) {
  const held = (side: number) => clamp(Math.round(side), SMALLEST_BOX, LARGEST_BOX);
  const { pointer } = useDrag({
    grip: (_, at) => ({ at, from: box }),
    // It stands in the middle of its room, so that it grows to both sides.
    at: ({ at, from }, to) => ({
      width: held(from.width + (to.x - at.x) * 2),
      height: held(from.height + (to.y - at.y) * (from.height > ROOM ? 1 : 2)),
    }),
    same: sameJson,
    show: (next) => onBox(next ?? box),
    make: onBox,
    says: ({ width, height }) => `The box is ${width} × ${height} px`,
  });
  return (
    <span
      aria-hidden
      data-box-corner
      title="Drag it to make the box larger or smaller"
      className="absolute right-0 bottom-0 size-3.5 cursor-nwse-resize touch-none border border-[#000] bg-[#fff]"
      {...pointer}
    />
  );
}
