import type { Rgba } from '@mint-lamp/core/contrast/ratio';
import type { Pair } from '@mint-lamp/core/document/pairs/pair';
import type { RoleUse } from '@mint-lamp/core/document/roles/use-names';
import clsx from 'clsx';
import { paintedText } from '../../../ui/painted-text.ts';

const css = ({ r, g, b }: Rgba) => `rgb(${r} ${g} ${b})`;

interface SampleProps {
  pair: Pair;
  words: string;
  /** What the role in front is for. */
  use: RoleUse;
  text: Rgba | null;
  ground: Rgba | null;
  /** What the two roles are painted with where one of them is no one colour, as CSS. */
  paints?: { readonly text: string | null; readonly ground: string | null } | null;
  after?: boolean;
  /** With more of its ground round it. */
  large?: boolean;
}

/** The colours at work: text at its real size, else as what the role is for. For sighted eyes; the figures say the same. */
export function Sample({
  pair,
  words,
  use,
  text,
  ground,
  paints = null,
  after = false,
  large = false,
}: SampleProps) {
  if (!text || !ground) return <div className={large ? 'h-24 bg-sunken' : 'h-13 bg-sunken'} />;
  return (
    <div
      aria-hidden
      data-specimen
      className={clsx(
        'relative flex items-center overflow-hidden',
        large ? 'min-h-24 px-5 py-3' : 'min-h-13 px-3 py-1',
        // Seen on any ground: one line of it is light and one is dark in either dress.
        after && 'border-t-2 border-main shadow-[0_-2px_0_var(--surface-raised)]',
      )}
      style={{ background: paints?.ground ?? css(ground), color: css(text) }}
    >
      {pair.target.content === 'graphics' ? (
        <Graphic use={use} />
      ) : (
        <span
          // One line of whole words: what has no room is left out, never cut.
          className={clsx('overflow-hidden', after && 'pr-12')}
          style={{
            ...(paints?.text ? paintedText(paints.text) : {}),
            fontSize: pair.size,
            fontWeight: pair.weight,
            lineHeight: 1.2,
            maxHeight: '1.2em',
          }}
        >
          {words}
        </span>
      )}
      {after && (
        <span className="absolute right-1.5 rounded-[3px] bg-raised px-1 text-xs text-main">after</span>
      )}
    </div>
  );
}

/** A graphic as the role is for: a line, a focus ring round a control, a control that is filled, else a sign. */
function Graphic({ use }: { use: RoleUse }) {
  switch (use) {
    case 'line':
      return <span data-graphic="line" className="h-px w-40 bg-current" />;
    case 'ring':
      return (
        <span
          data-graphic="ring"
          className="h-6 w-24 rounded-md outline-2 outline-offset-2 outline-current"
        />
      );
    case 'fill':
    case 'ground':
      return <span data-graphic="control" className="h-7 w-28 rounded-md bg-current" />;
    default:
      return (
        <svg
          aria-hidden
          data-graphic="sign"
          viewBox="0 0 32 32"
          className="size-8"
          fill="none"
          stroke="currentColor"
          strokeWidth="2"
        >
          <circle cx="16" cy="16" r="11" />
          <path d="M10 16l4 4 8-8" />
        </svg>
      );
  }
}
