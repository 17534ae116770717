import clsx from 'clsx';
import type { ComponentProps } from 'react';
import type { NotedPart } from './noted-parts.ts';

/** A small flag with a figure in it: white on black with both around it, so that it is seen on anything. */
export function NotePin({ count, className, style, ...rest }: ComponentProps<'button'> & { count: number }) {
  return (
    <button
      type="button"
      data-pin
      className={clsx(
        'grid size-6 place-content-center rounded-[3px] border-2 text-sm leading-none font-semibold shadow-[0_0_0_1px_#000]',
        className,
      )}
      style={{ background: '#000', color: '#fff', borderColor: '#fff', ...style }}
      {...rest}
    >
      {count}
    </button>
  );
}

export const countOf = ({ things }: NotedPart): number =>
  things.reduce((sum, { notes }) => sum + notes.length, 0);

/** What a pin says to whoever listens. */
export const saidOfPin = (noted: NotedPart): string => {
  const count = countOf(noted);
  return `${count === 1 ? '1 note' : `${count} notes`} on ${noted.things.map(({ name }) => name).join(', ')}`;
};
