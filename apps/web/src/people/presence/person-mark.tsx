import clsx from 'clsx';

/** Outlines by which several people are told apart without a colour, which would stand beside those that are judged. */
const OUTLINES = [
  'rounded-full',
  'rounded-[3px]',
  'rounded-tl-full rounded-br-full',
  'rounded-full border-dashed',
  'rounded-[3px] border-dashed',
  'rounded-tr-full rounded-bl-full',
] as const;

/** The same for one person in every page. */
const outlineOf = (person: string): string =>
  OUTLINES[[...person].reduce((sum, sign) => sum + sign.charCodeAt(0), 0) % OUTLINES.length]!;

/** First letters of a name: of the first word and of the last. */
function initials(name: string): string {
  const words = name.trim().split(/\s+/);
  const signs = [words[0], words.length > 1 ? words.at(-1) : undefined].flatMap((word) =>
    [...(word ?? '')].slice(0, 1),
  );
  return signs.join('').toUpperCase();
}

/** Somebody's own mark: their initials in an outline. */
export const PersonMark = ({ person, name, lit }: { person: string; name: string; lit: boolean }) => (
  <span
    aria-hidden
    className={clsx(
      'grid size-7 shrink-0 place-content-center border text-sm font-semibold',
      lit ? 'border-main bg-main text-inverse' : 'border-control bg-raised text-main',
      outlineOf(person),
    )}
  >
    {initials(name)}
  </span>
);
