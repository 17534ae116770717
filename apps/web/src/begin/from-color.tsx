import { describeColor } from '@mint-lamp/core/color/describe';
import { readColor } from '@mint-lamp/core/color/parse';
import { readTyped } from '@mint-lamp/core/color/typed';
import { canonical } from '@mint-lamp/core/color/write';
import { type Relation, related } from '@mint-lamp/core/harmony/relations';
import { useEffect, useMemo, useRef, useState } from 'react';
import { Button } from '../ui/button.tsx';
import { ColorChip } from '../ui/color-chip.tsx';
import { ChoiceRow } from './choice-row.tsx';
import type { WayProps } from './to-begin-with.ts';

/** What can go with it, and why one would. */
const COMPANY: readonly {
  readonly relation: Relation | null;
  readonly name: string;
  readonly says: string;
}[] = [
  { relation: null, name: 'Alone', says: 'one colour does the work, greys do the rest' },
  { relation: 'complementary', name: 'Its complement', says: 'one strong accent from across' },
  { relation: 'split-complementary', name: 'Split complement', says: 'two accents, softer against it' },
  { relation: 'analogous', name: 'Its neighbours', says: 'calm, all of one mood' },
  { relation: 'triadic', name: 'A triad', says: 'three of equal weight, lively' },
];

const EXAMPLE = '#0b5f6b';

/** From one colour, with or without others that go with it. */
export default function FromColor({ onGiven }: WayProps) {
  const [text, setText] = useState('');
  const [company, setCompany] = useState(1);
  const field = useRef<HTMLInputElement>(null);
  useEffect(() => field.current?.focus(), []);
  const typed = useMemo(() => (text.trim() ? readTyped(text) : null), [text]);
  const color = typed?.ok ? canonical({ ...typed.color, alpha: 1 }) : null;
  const rows = useMemo(
    () =>
      color === null
        ? null
        : COMPANY.map(({ relation }) =>
            relation
              ? [
                  color,
                  ...related(readColor(color), relation)
                    .slice(1)
                    .map((one) => canonical(one)),
                ]
              : [color],
          ),
    [color],
  );
  const given = useMemo(() => {
    const colors = rows?.[company];
    return colors
      ? {
          given: {
            of: 'colors' as const,
            colors: colors.map((one) => ({ color: one })),
            level: 'AA' as const,
            // What was asked for beside it is the accent, however pale.
            cast: { leads: 0, accent: colors.length > 1 ? 1 : null },
          },
        }
      : null;
  }, [rows, company]);
  useEffect(() => onGiven(given), [given, onGiven]);
  const take = (next: string) => {
    setText(next);
    field.current?.focus();
  };
  return (
    <>
      <label htmlFor="begin-color" className="mb-1 block text-quiet">
        Its code or its name, in any notation
      </label>
      <div className="flex gap-2">
        <input
          ref={field}
          id="begin-color"
          value={text}
          spellCheck={false}
          autoComplete="off"
          placeholder="#0b5f6b, rgb(11 95 107), teal …"
          aria-invalid={typed?.ok === false}
          aria-describedby="begin-color-says"
          onChange={(event) => setText(event.target.value)}
          className="h-9 min-w-0 flex-1 rounded-md border border-control bg-raised px-3 font-mono text-sm"
        />
        <input
          type="color"
          aria-label="Pick it"
          title="Pick it"
          value={color?.slice(0, 7) ?? '#767676'}
          onChange={(event) => setText(event.target.value)}
          className="h-9 w-12 shrink-0 cursor-pointer rounded-md border border-control bg-raised p-1"
        />
      </div>
      <p id="begin-color-says" role="status" className="mt-1 min-h-6 text-quiet">
        {typed?.ok && color
          ? describeColor(readColor(color))
          : typed && !typed.ok
            ? typed.reason
            : 'A brand colour, say.'}
      </p>
      {typed?.ok === false && typed.corrections.length > 0 && (
        <p className="flex flex-wrap items-center gap-1.5">
          <span className="text-sm text-quiet">Did you mean</span>
          {typed.corrections.map((one) => (
            <Button key={one} small onClick={() => take(one)}>
              <ColorChip css={one} className="size-4" />
              <span className="font-mono">{one}</span>
            </Button>
          ))}
        </p>
      )}
      {!text.trim() && (
        <p className="mt-1">
          <Button onClick={() => take(EXAMPLE)}>Try an example</Button>
        </p>
      )}
      {rows && (
        <fieldset className="mt-3">
          <legend className="mb-1 text-quiet">What goes with it?</legend>
          {COMPANY.map(({ name, says }, i) => (
            <ChoiceRow
              key={name}
              of="company"
              chosen={i === company}
              onChoose={() => setCompany(i)}
              colors={rows[i]!}
            >
              <span className="block">{name}</span>
              <span className="block text-sm text-quiet">{says}</span>
            </ChoiceRow>
          ))}
        </fieldset>
      )}
    </>
  );
}
