import { MOST_SWATCHES } from '@mint-lamp/core/document/tray/swatch';
import { useEffect, useMemo, useRef, useState } from 'react';
import { takeBrought } from '../projects/brought.ts';
import { FoundColors } from '../stations/gather/text/found-colors.tsx';
import { useFoundInText } from '../stations/gather/text/use-found-in-text.ts';
import { ofTab } from '../storing/storage.ts';
import { Button } from '../ui/button.tsx';
import { Failure } from '../ui/notice.tsx';
import type { WayProps } from './to-begin-with.ts';

const KEY = 'mint-lamp/begin/text';

const EXAMPLE = `Hi! Our funnel is painted #E2552B and the water on the posters is rgb(11 95 107).
Notices: on time hsl(116 37% 36%), delayed hsl(42 79% 49%), cancelled #B8234A.`;

/** From any text: what it has of colours; a style sheet is taken as the system that it is. */
export default function FromText({ onGiven }: WayProps) {
  const [text, setText] = useState(() => takeBrought('text')?.text ?? ofTab.read(KEY) ?? '');
  useEffect(() => {
    ofTab.write(KEY, text);
  }, [text]);
  const found = useFoundInText(text);
  const { result, shown, isChosen } = found;
  const [asSheet, setAsSheet] = useState(true);
  const isSheet = result.isSheet && asSheet;
  const chosen = shown.filter(isChosen).map(({ color }) => color);
  const key = chosen.join();
  // biome-ignore lint/correctness/useExhaustiveDependencies: told once for the same colours
  const given = useMemo(
    () =>
      isSheet
        ? { given: { of: 'sheets' as const, files: [{ name: 'pasted.css', text }] }, text }
        : chosen.length
          ? {
              given: {
                of: 'colors' as const,
                colors: chosen.map((color) => ({ color })),
                level: 'AA' as const,
              },
              text,
            }
          : null,
    [isSheet, isSheet ? text : '', key],
  );
  useEffect(() => onGiven(given), [given, onGiven]);
  const field = useRef<HTMLTextAreaElement>(null);
  useEffect(() => field.current?.focus(), []);
  return (
    <>
      <label htmlFor="begin-text" className="mb-1 block text-quiet">
        Paste it whole: a mail, a brief, a list of codes, a style sheet
      </label>
      <textarea
        ref={field}
        id="begin-text"
        value={text}
        onChange={(event) => setText(event.target.value)}
        spellCheck={false}
        placeholder="Paste here …"
        className="h-40 w-full resize-y rounded-md border border-control bg-raised p-3 font-mono text-sm leading-relaxed"
      />
      {!text.trim() && (
        <p className="mt-2">
          <Button
            onClick={() => {
              setText(EXAMPLE);
              field.current?.focus();
            }}
          >
            Try an example
          </Button>
        </p>
      )}
      {found.faults.map(({ fault, again }) => (
        <Failure key={fault} fault={fault} onAgain={again} />
      ))}
      {text.trim() !== '' && (
        <p role="status" className="my-2 text-quiet">
          {found.searching
            ? 'Looking …'
            : result.isSheet
              ? isSheet
                ? 'This is a style sheet, so it is read as the system it already is.'
                : 'Only the colours of the style sheet are taken.'
              : shown.length
                ? `${shown.length === 1 ? 'One colour' : `${shown.length} colours`} found. Press one to leave it out.${chosen.length > MOST_SWATCHES ? ` The first ${MOST_SWATCHES.toLocaleString('en-GB')} go into the tray.` : ''}`
                : 'No colour found yet. Codes such as #0b5f6b, rgb(11 95 107) and names such as teal are understood.'}
        </p>
      )}
      {result.isSheet && (
        <Button small onClick={() => setAsSheet(!asSheet)}>
          {asSheet ? 'Use only its colours' : 'Read it as a system'}
        </Button>
      )}
      {!isSheet && <FoundColors found={found} onText={setText} field={field} />}
    </>
  );
}
