import { describeColor } from '@mint-lamp/core/color/describe';
import { parseColor, readColor } from '@mint-lamp/core/color/parse';
import { canonical } from '@mint-lamp/core/color/write';
import { paint } from '@mint-lamp/core/system/painted';
import type { System } from '@mint-lamp/core/system/resolve';
import { useState } from 'react';
import { GuestSection } from '../guest-frame.tsx';
import type { Trial } from './use-trial.ts';

/** The main colours, each with its shades: change one, and what comes of it follows. */
export function Bases({ system, trial }: { system: System; trial: Trial }) {
  const { families } = system.document;
  if (!families.length) return null;
  return (
    <GuestSection title="The main colours" says="Every lighter and darker shade follows.">
      <ul className="grid gap-4">
        {families.map(({ id, name, base, follows }) => (
          <Base
            key={id}
            name={name}
            base={base}
            shades={system.families.get(id)!.shades.map(({ css }) => css)}
            isFixed={follows !== null && follows.by !== 'tint'}
            onColor={(color) => trial.set({ type: 'setBase', family: id, color })}
          />
        ))}
      </ul>
    </GuestSection>
  );
}

interface BaseProps {
  name: string;
  base: string;
  shades: readonly string[];
  /** Whether it comes of another one. */
  isFixed: boolean;
  onColor: (color: string) => void;
}

function Base({ name, base, shades, isFixed, onColor }: BaseProps) {
  const { r, g, b } = paint(base);
  const hex = `#${[r, g, b].map((n) => n.toString(16).padStart(2, '0')).join('')}`;
  const [typed, setTyped] = useState<string | null>(null);
  const read = typed === null ? null : parseColor(typed);
  const fault = read && !read.ok ? read.reason : null;
  const type = (text: string) => {
    setTyped(text);
    const color = parseColor(text);
    if (color.ok) onColor(canonical({ ...color.color, alpha: 1 }));
  };
  return (
    <li>
      <div className="flex items-center gap-3">
        <input
          type="color"
          aria-label={`Colour of ${name}`}
          value={hex}
          disabled={isFixed}
          onChange={(event) => {
            setTyped(null);
            onColor(event.target.value);
          }}
          className="h-12 w-14 shrink-0 rounded-md border border-control bg-raised p-1"
        />
        <span className="min-w-0 flex-1">
          <b className="block text-base font-semibold break-words">{name}</b>
          <span className="block text-quiet">
            {describeColor(readColor(base))}
            {isFixed && ', comes of another one'}
          </span>
        </span>
        <input
          type="text"
          aria-label={`${name} as a code or a name`}
          aria-invalid={fault !== null}
          value={typed ?? hex}
          disabled={isFixed}
          spellCheck={false}
          autoCapitalize="none"
          onChange={(event) => type(event.target.value)}
          onBlur={() => setTyped(null)}
          className="h-11 w-28 shrink-0 rounded-md border border-control bg-raised px-2 font-mono aria-invalid:border-fail!"
        />
      </div>
      {fault && (
        <p role="alert" className="mt-1 text-sm text-fail">
          {fault}
        </p>
      )}
      <div aria-hidden className="mt-1.5 flex h-5 overflow-hidden rounded-md border border-hair">
        {shades.map((css, i) => (
          // biome-ignore lint/suspicious/noArrayIndexKey: a row of shades by place
          <span key={i} className="flex-1" style={{ background: css }} />
        ))}
      </div>
    </li>
  );
}
