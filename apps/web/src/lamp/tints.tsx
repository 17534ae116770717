import { writeHex } from '@mint-lamp/core/color/write';
import type { Swatch } from '@mint-lamp/core/document/tray/swatch';
import { tintsOf } from '@mint-lamp/core/harmony/tints';
import { colorOf, type Painted } from '@mint-lamp/core/system/painted';
import { type CSSProperties, memo } from 'react';
import { toast } from 'sonner';
import { newId, useEditing } from '../store/editing.ts';
import { useSettled } from '../store/use-settled.ts';

const WORDS = { tint: 'Tint', tone: 'Tone', shade: 'Shade' } as const;
const OTHERS = { tint: '#ffffff', tone: '#777777', shade: '#000000' } as const;

/** Tints, tones and shades of the lit colour in one row; each goes to the tray when it is pressed. */
export function Tints({ painted, title }: { painted: Painted; title: string }) {
  const { r, g, b } = painted;
  // The browser mixes what is seen while the colour moves; the codes that are taken wait for the end of a gesture.
  return (
    <section
      aria-label="Tints, tones and shades"
      data-help="tints"
      className="border-t border-hair pt-2"
      style={{ '--lit': `rgb(${r} ${g} ${b})` } as CSSProperties}
    >
      <Row painted={useSettled(painted)} title={title} />
    </section>
  );
}

const Row = memo(function Row({ painted, title }: { painted: Painted; title: string }) {
  const { edit } = useEditing();
  return (
    <>
      <h3 className="mb-1 text-sm text-quiet">Tints, tones, shades (press to add)</h3>
      <ul className="flex gap-px overflow-hidden rounded-md">
        {tintsOf(colorOf({ ...painted, alpha: 1 })).map(({ kind, part, color }, i) => {
          const hex = writeHex(color);
          const name = `${WORDS[kind]} ${part * 100} %`;
          const take = () => {
            const swatch: Swatch = {
              id: newId(),
              name: `${title.slice(0, 50)}, ${name.toLowerCase()}`,
              color: hex,
              group: '',
              added: Date.now(),
            };
            if (edit({ type: 'addSwatch', swatch })) toast('One colour is in the tray below');
          };
          return (
            <li key={name} className={i % 3 === 0 && i > 0 ? 'ml-1.5 flex-1' : 'flex-1'}>
              <button
                type="button"
                data-specimen
                aria-label={`${name}, ${hex}, to the tray`}
                onClick={take}
                className="block h-7 w-full -outline-offset-2"
                style={{ background: `color-mix(in oklab, ${OTHERS[kind]} ${part * 100}%, var(--lit))` }}
              />
            </li>
          );
        })}
      </ul>
    </>
  );
});
