import type { Measurement } from '@mint-lamp/core/judged/pairs/measurement';
import type { ResolvedTheme } from '@mint-lamp/core/system/resolve';
import { useLayoutEffect, useRef, useState } from 'react';
import { PaintedArea } from './painted-area.tsx';

/** Px before it is known how much room there is. */
const WIDTH = 226;
const MOST_HEIGHT = 150;

interface AreaSampleProps {
  measurement: Measurement;
  theme: ResolvedTheme;
  words: string;
}

/** A text on what it lies on, small: the whole of a gradient's box, the text's own part of a picture. */
export function AreaSample(props: AreaSampleProps) {
  const box = useRef<HTMLDivElement>(null);
  const [room, setRoom] = useState(WIDTH);
  useLayoutEffect(() => {
    const observer = new ResizeObserver(([entry]) => setRoom(Math.floor(entry!.contentRect.width)));
    observer.observe(box.current!);
    return () => observer.disconnect();
  }, []);
  return (
    <div ref={box} className="bg-sunken">
      <Fitted {...props} room={room} />
    </div>
  );
}

function Fitted({ measurement, theme, words, room }: AreaSampleProps & { room: number }) {
  const { pair, awaited, over } = measurement;
  const { backdrop } = pair;
  if (!backdrop) return null;
  if (!over)
    return (
      <p role="status" className="flex min-h-13 items-center px-3 text-sm text-quiet">
        {awaited ? 'Looking at the picture …' : 'What was under the text has been removed.'}
      </p>
    );
  const shown =
    backdrop.kind === 'gradient'
      ? { x: 0, y: 0, width: backdrop.width, height: backdrop.height }
      : (over.bare?.area ?? backdrop.text);
  const scale = Math.min(1, room / shown.width, MOST_HEIGHT / shown.height);
  return <PaintedArea {...{ pair, theme, words, measurement, shown, scale }} />;
}
