import { memo } from 'react';

interface SampleProps {
  hex: string;
  number: number;
  /** What colour it is, in words; and all that is told of it. Both may lag behind it while it is dragged. */
  words: string;
  label: string;
  /** Whether white and black text can be read on it. */
  white: boolean;
  black: boolean;
  /** Whether its words are written in white. */
  dark: boolean;
  chosen: boolean;
  onToggle: (number: number) => void;
}

/** A member, large, with letters in white and in black where they can be read on it. */
export const Sample = memo(function Sample({
  hex,
  number,
  words,
  label,
  white,
  black,
  dark,
  chosen,
  onToggle,
}: SampleProps) {
  return (
    <li className="min-w-0 flex-1">
      <button
        type="button"
        data-specimen
        aria-pressed={chosen}
        aria-label={label}
        title={`${words}, ${hex}`}
        onClick={() => onToggle(number)}
        className="relative flex size-full flex-col justify-between p-1 text-left -outline-offset-2"
        style={{ background: hex, color: dark ? '#ffffff' : '#000000' }}
      >
        <span className="flex gap-1 text-sm font-semibold" aria-hidden>
          {white && <span style={{ color: '#ffffff' }}>Aa</span>}
          {black && <span style={{ color: '#000000' }}>Aa</span>}
        </span>
        <span className="line-clamp-2 min-w-0 text-sm leading-tight" aria-hidden>
          {words}
        </span>
        {chosen && (
          <span
            aria-hidden
            className="absolute top-1 right-1 size-3 rounded-full border-2 border-[#000] bg-[#fff]"
          />
        )}
      </button>
    </li>
  );
});
