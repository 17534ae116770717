import { hexOfRgb8 } from '@mint-lamp/core/color/write';
import { LINKED_WITHIN } from '@mint-lamp/core/edits/gradients/pasted-gradient';
import { useEffect, useRef, useState } from 'react';
import { Button } from '../../../../ui/button.tsx';
import { Track } from '../../../../ui/track.tsx';
import type { Taking } from '../../taking/use-taking.ts';
import type { FollowedLine } from './use-line.ts';

/** ΔE OK: the finest and the coarsest that is asked, in thousandths. */
const FINEST = 4;
const COARSEST = 120;

interface LinePanelProps {
  hasLine: boolean;
  followed: FollowedLine | null;
  tolerance: number;
  onTolerance: (tolerance: number) => void;
  onBegin: () => void;
  onRemove: () => void;
  taking: Taking;
}

/** A line across the picture as a gradient: the fewest stops that follow its colours as nearly as is asked. */
export function LinePanel(props: LinePanelProps) {
  const { hasLine, followed, tolerance, onTolerance, onBegin, onRemove, taking } = props;
  const [linked, setLinked] = useState(true);
  if (!hasLine)
    return (
      <>
        <p className="mb-2 text-quiet">
          A line across the picture becomes a gradient, in the fewest stops that follow its colours.
        </p>
        <Button look="primary" onClick={onBegin}>
          Draw a line
        </Button>
      </>
    );
  const colors = followed?.stops.map(({ color: { r, g, b } }) => hexOfRgb8(r, g, b)) ?? [];
  const css = followed?.stops.map(({ place }, i) => `${colors[i]} ${place}%`).join(', ');
  return (
    <div className="flex flex-col gap-3">
      <div className="flex flex-col gap-1">
        <span className="text-sm text-quiet">The colours along the line</span>
        <Row row={followed?.row ?? null} />
        <div
          aria-hidden
          data-specimen
          data-testid="followed"
          className="h-10 rounded-[4px]"
          style={css ? { background: `linear-gradient(90deg in oklab, ${css})` } : undefined}
        />
        <span aria-hidden className="relative block h-2.5">
          {followed?.stops.map(({ place }) => (
            <span key={place} className="absolute top-0 h-2.5 w-px bg-main" style={{ left: `${place}%` }} />
          ))}
        </span>
        <span className="text-sm text-quiet">and the gradient, with its stops</span>
      </div>
      <div>
        <div className="mb-1 flex justify-between text-sm">
          <span>Average difference allowed (ΔE OK)</span>
          <span className="font-mono">{tolerance.toFixed(3)}</span>
        </div>
        <Track
          label="Average difference"
          value={Math.round(tolerance * 1000)}
          min={FINEST}
          max={COARSEST}
          step={1}
          background="var(--surface-sunken)"
          valueText={`ΔE OK ${tolerance.toFixed(3)}`}
          onPreview={(value) => onTolerance(value / 1000)}
          onCommit={(value) => onTolerance(value / 1000)}
        />
      </div>
      <p role="status" className="text-sm" data-testid="followed-words">
        {followed ? (
          <>
            <b>{followed.stops.length} stops</b>; it differs by {followed.mean.toFixed(3)} on average along
            the line, where {tolerance.toFixed(3)} is asked, and by {followed.most.toFixed(3)} at the place
            where it differs most.
            {!followed.reached &&
              ' The colours along the line are too uneven for that. Average a larger area, or allow a larger difference.'}
          </>
        ) : (
          'Looking along the line …'
        )}
      </p>
      <label className="flex items-center gap-1.5 text-sm">
        <input type="checkbox" checked={linked} onChange={() => setLinked(!linked)} />
        linked to shades within ΔE {LINKED_WITHIN}
      </label>
      <div className="flex flex-wrap gap-1.5">
        <Button
          look="primary"
          disabled={!followed}
          onClick={() => followed && taking.line(followed.stops, linked ? LINKED_WITHIN : 0)}
        >
          Make it a gradient
        </Button>
        <Button small className="h-8!" disabled={!followed} onClick={() => taking.tray(colors)}>
          Its colours to the tray
        </Button>
        <Button small look="danger" onClick={onRemove}>
          Remove the line
        </Button>
      </div>
      <p className="text-sm text-quiet">
        Drag the ends, or go to them with Tab: arrow keys move them, with Shift by 10 px. The area that is
        averaged counts across the line.
      </p>
    </div>
  );
}

/** A row of pixels, drawn as wide as there is room. For sighted eyes. */
function Row({ row }: { row: Uint8ClampedArray<ArrayBuffer> | null }) {
  const canvas = useRef<HTMLCanvasElement>(null);
  useEffect(() => {
    const target = canvas.current;
    if (!target || !row) return;
    target.width = row.length / 4;
    target.height = 1;
    target.getContext('2d')!.putImageData(new ImageData(row, row.length / 4, 1), 0, 0);
  }, [row]);
  return <canvas ref={canvas} aria-hidden data-specimen className="h-10 w-full rounded-[4px]" />;
}
