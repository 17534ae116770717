import type { RoleUse } from '@mint-lamp/core/document/roles/use-names';
import clsx from 'clsx';
import { memo } from 'react';
import { paintedText } from '../../../ui/painted-text.ts';

/** Width of a theme's page on the sheet, of its column. */
const PAGE_WIDTH = 'min(132px, 36%)';

/** The page of a theme, running down its column behind everything. */
export const pageBand = (page: string) =>
  `linear-gradient(to right, ${page} 0 ${PAGE_WIDTH}, transparent ${PAGE_WIDTH})`;

interface SpecimenProps {
  use: RoleUse;
  /** The role's colour or gradient; null where its link is broken. */
  css: string | null;
  /** What it stands on, where that is not the page. */
  on: string | null;
  /** What stands on it. */
  text: string | null;
  /** What it says where it is a text or pressed. */
  words: string;
}

/** A role as what it is for, on the page of its theme. For sighted eyes: its link and its ratio stand beside it. */
export const Specimen = memo(function Specimen({ use, css, on, text, words }: SpecimenProps) {
  return (
    <span
      aria-hidden
      data-specimen
      className="flex h-full shrink-0 items-center overflow-hidden px-2"
      style={{ width: PAGE_WIDTH, background: use === 'ground' ? (css ?? undefined) : (on ?? undefined) }}
    >
      {css === null ? <span className="h-px w-full border-t-2 border-dashed border-fail" /> : null}
      {css !== null && use === 'ground' && text && (
        <span className="truncate text-[15px]" style={paintedText(text)}>
          {words}
        </span>
      )}
      {css !== null && use === 'text' && (
        <span className="truncate text-[15px]" style={paintedText(css)}>
          {words}
        </span>
      )}
      {css !== null && use === 'line' && <span className="h-0.5 w-full" style={{ background: css }} />}
      {css !== null && use === 'fill' && (
        <span
          className={clsx('rounded-md px-3 py-0.5 text-[14px] font-semibold', !text && 'w-16')}
          style={text ? paintedText(text, css) : { background: css, color: 'transparent' }}
        >
          {words}
        </span>
      )}
      {css !== null && use === 'ring' && (
        <span className="h-5 w-16 rounded-md" style={{ outline: `2.5px solid ${css}` }} />
      )}
      {css !== null && use === 'other' && <span className="h-5 w-9 rounded-md" style={{ background: css }} />}
    </span>
  );
});
