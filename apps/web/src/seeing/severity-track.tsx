import { severitySet } from '../store/interface-slice.ts';
import { useAppDispatch, useAppSelector } from '../store/store.ts';
import { Track } from '../ui/track.tsx';

/** How much of a cone's function is missing. */
export function SeverityTrack() {
  const severity = useAppSelector((state) => state.interface.severity);
  const dispatch = useAppDispatch();
  const set = (value: number) => dispatch(severitySet(value / 100));
  return (
    <div className="flex items-center gap-3">
      <span className="text-sm">Severity</span>
      <div className="w-40">
        <Track
          label="Severity"
          value={severity * 100}
          min={0}
          max={100}
          step={5}
          background="var(--surface-sunken)"
          valueText={`${Math.round(severity * 100)} %`}
          onPreview={set}
          onCommit={set}
        />
      </div>
      <span className="w-12 text-right font-mono text-sm">{Math.round(severity * 100)} %</span>
    </div>
  );
}
