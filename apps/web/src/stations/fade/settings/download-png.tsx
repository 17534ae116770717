import { slug } from '@mint-lamp/core/document/naming/names';
import { LARGEST_SIDE } from '@mint-lamp/core/gradient/raster';
import { clamp } from '@mint-lamp/core/numbers/clamp';
import { paintedGradient, type ResolvedGradient } from '@mint-lamp/core/system/gradients/resolved-gradient';
import { memo, useEffect, useRef, useState } from 'react';
import { JobCalledOff } from '../../../jobs/job.ts';
import { runJob } from '../../../jobs/run-job.ts';
import { Button } from '../../../ui/button.tsx';
import { NumberField } from '../../../ui/number-field.tsx';
import { Progress } from '../../../ui/progress.tsx';
import { save } from '../../../ui/save-file.ts';
import type { BoxSize } from '../preview/purposes.ts';

const held = (side: number) => clamp(Math.round(side), 1, LARGEST_SIDE);

/** The gradient as a PNG at any size, dithered against bands on request; painted in a worker, which can be stopped. */
export const DownloadPng = memo(function DownloadPng({
  resolved,
  size,
}: {
  resolved: ResolvedGradient;
  size: BoxSize;
}) {
  const [own, setOwn] = useState<BoxSize | null>(null);
  const [dithered, setDithered] = useState(true);
  const [progress, setProgress] = useState<number | null>(null);
  const [fault, setFault] = useState<string | null>(null);
  const stopping = useRef<AbortController | null>(null);
  useEffect(() => () => stopping.current?.abort(), []);
  // As large as on a screen of two px to one, unless it was typed.
  const { width, height } = own ?? { width: held(size.width * 2), height: held(size.height * 2) };
  const paint = async () => {
    const gradient = paintedGradient(resolved);
    if (!gradient) return;
    const stop = new AbortController();
    stopping.current = stop;
    setFault(null);
    setProgress(0);
    try {
      const input = { gradient, width, height, dithered };
      const file = await runJob('paintGradient', input, { signal: stop.signal, onProgress: setProgress });
      save(`${slug(resolved.gradient.name) || 'gradient'}-${width}x${height}.png`, file, 'image/png');
    } catch (error) {
      if (!(error instanceof JobCalledOff)) setFault((error as Error).message);
    }
    setProgress(null);
  };
  return (
    <fieldset aria-label="As a picture" data-help="copy-gradient" className="flex flex-col gap-1.5">
      <div className="grid grid-cols-2 gap-2">
        {(['width', 'height'] as const).map((side) => (
          <NumberField
            key={side}
            label={side === 'width' ? 'PNG, px wide' : 'px high'}
            value={side === 'width' ? width : height}
            min={1}
            max={LARGEST_SIDE}
            onCommit={(value) => setOwn({ width, height, [side]: value })}
          />
        ))}
      </div>
      <label className="flex items-center gap-1.5 text-sm">
        <input type="checkbox" checked={dithered} onChange={() => setDithered(!dithered)} />
        dithered, against bands
      </label>
      {progress === null ? (
        <Button small className="self-start" onClick={() => void paint()}>
          Download as PNG
        </Button>
      ) : (
        <span className="flex items-center gap-2">
          <Progress label="How much is painted" value={progress} className="flex-1" />
          <Button small onClick={() => stopping.current?.abort()}>
            Stop
          </Button>
        </span>
      )}
      {fault && (
        <p role="alert" className="text-sm text-fail">
          {fault}
        </p>
      )}
    </fieldset>
  );
});
