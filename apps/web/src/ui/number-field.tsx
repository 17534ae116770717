import { TextField } from './text-field.tsx';

interface NumberFieldProps {
  label: string;
  hideLabel?: boolean;
  value: number;
  min: number;
  max: number;
  decimals?: number;
  unit?: string;
  /** The label stands before the field and not above it. */
  beside?: boolean;
  onCommit: (value: number) => void;
  className?: string;
}

/** A number within a range; something else is told with the range that would be right. */
export function NumberField({ value, min, max, decimals = 0, onCommit, ...rest }: NumberFieldProps) {
  const show = (n: number) => String(Number(n.toFixed(decimals)));
  return (
    <TextField
      {...rest}
      mono
      inputClassName="text-right"
      value={show(value)}
      onCommit={(text) => {
        const number = Number(text.replace(',', '.').replace(/[%°]$/, ''));
        if (text === '' || !Number.isFinite(number) || number < min || number > max)
          return `A number from ${show(min)} to ${show(max)}`;
        onCommit(Number(number.toFixed(decimals)));
        return null;
      }}
    />
  );
}
