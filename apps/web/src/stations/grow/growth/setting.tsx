import { NumberField } from '../../../ui/number-field.tsx';
import { Track } from '../../../ui/track.tsx';

interface SettingRange {
  readonly name: string;
  /** As shown; the value times `scale`. */
  readonly min: number;
  readonly max: number;
  readonly scale: number;
  readonly unit: string;
  readonly decimals: number;
}

interface SettingProps extends SettingRange {
  value: number;
  onPreview: (value: number) => void;
  onCommit: (value: number) => void;
  onGiveBack: () => void;
}

/** One number of a growth, as a track and as a field. */
export function Setting(props: SettingProps) {
  const { name, min, max, scale, unit, decimals, value, onPreview, onCommit, onGiveBack } = props;
  return (
    <div className="grid grid-cols-[110px_1fr_56px] items-center gap-x-2">
      <span className="text-sm leading-tight text-quiet">
        {name}
        {unit && ` (${unit})`}
      </span>
      <Track
        label={name}
        value={value * scale}
        min={min}
        max={max}
        step={decimals ? 0.5 : 1}
        background="var(--surface-sunken)"
        valueText={`${(value * scale).toFixed(decimals)}${unit}`}
        onPreview={(v) => onPreview(v / scale)}
        onCommit={(v) => onCommit(v / scale)}
        onGiveBack={onGiveBack}
      />
      <NumberField
        label={name}
        hideLabel
        value={value * scale}
        min={min}
        max={max}
        decimals={decimals}
        onCommit={(v) => onCommit(v / scale)}
      />
    </div>
  );
}
