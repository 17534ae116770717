import type { RefObject } from 'react';
import { FoundTile } from './found-tile.tsx';
import { NearCodes } from './near-codes.tsx';
import type { useFoundInText } from './use-found-in-text.ts';

const NONE: ReadonlySet<string> = new Set();

interface FoundColorsProps {
  found: ReturnType<typeof useFoundInText>;
  /** Colours that are collected already. */
  inTray?: ReadonlySet<string>;
  /** Puts another text in its place. */
  onText: (change: (old: string) => string) => void;
  field: RefObject<HTMLTextAreaElement | null>;
}

/** The colours that a text has, to take or leave, and what was nearly one with its corrections. */
export function FoundColors({ found, inTray = NONE, onText, field }: FoundColorsProps) {
  const { drawn, isChosen, toggle, result } = found;
  return (
    <>
      <ul className="grid grid-cols-[repeat(auto-fill,minmax(104px,1fr))] gap-2">
        {drawn.map((item) => (
          <FoundTile
            key={item.color}
            item={item}
            inTray={inTray.has(item.color)}
            chosen={isChosen(item)}
            onToggle={toggle}
          />
        ))}
      </ul>
      <NearCodes
        near={result.near}
        onCorrect={({ text: wrong, index }, right) => {
          onText((old) => old.slice(0, index) + old.slice(index).replace(wrong, right));
          field.current?.focus();
        }}
      />
    </>
  );
}
