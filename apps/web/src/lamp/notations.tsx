import { NOTATIONS } from '@mint-lamp/core/color/notations';
import { colorOf, type Painted } from '@mint-lamp/core/system/painted';
import { memo, useState } from 'react';
import { useSettled } from '../store/use-settled.ts';
import { CopyButton } from '../ui/copy-button.tsx';
import { rememberedNotations, rememberNotations } from './remembered-notations.ts';

interface Written {
  readonly id: string;
  readonly name: string;
  readonly text: string;
  readonly note?: string;
}

/** Written in those of the notations that are wanted: each takes its time. */
const notationsOf = (painted: Painted, wanted: readonly string[] | null = null): Written[] => {
  const c = colorOf(painted);
  return NOTATIONS.filter(({ id }) => wanted === null || wanted.includes(id)).map(
    ({ write, ...notation }) => ({ ...notation, text: write(c) }),
  );
};

/**
 * The colour in the notations that the designer uses, live; the rest is folded, and each can be chosen to stand here
 * always. The choice is remembered in this browser.
 */
export const Notations = memo(function Notations({ painted }: { painted: Painted }) {
  const [chosen, setChosen] = useState(rememberedNotations);
  const [open, setOpen] = useState(false);
  const toggle = (id: string) => {
    const next = chosen.includes(id) ? chosen.filter((one) => one !== id) : [...chosen, id];
    setChosen(next);
    rememberNotations(next);
  };
  const shown = notationsOf(painted, chosen);
  return (
    <section aria-label="Notations" data-help="notations" className="border-t border-hair pt-2">
      <h3 className="text-sm text-quiet">Copy as</h3>
      <ul className="-mx-1.5">
        {shown.map((notation) => (
          <li key={notation.id}>
            <Copy notation={notation} />
          </li>
        ))}
      </ul>
      <button
        type="button"
        aria-expanded={open}
        onClick={() => setOpen(!open)}
        className="min-h-[24px] rounded-md text-sm text-quiet underline underline-offset-2"
      >
        {open ? 'Show fewer' : 'All notations'}
      </button>
      {open && <All painted={painted} chosen={chosen} onToggle={toggle} />}
    </section>
  );
});

interface AllProps {
  painted: Painted;
  chosen: readonly string[];
  onToggle: (id: string) => void;
}

/** Every notation. While a gesture lasts nothing of it is used, so it waits for its end. */
function All({ painted, chosen, onToggle }: AllProps) {
  return (
    <ul aria-label="All notations" className="mt-1">
      {notationsOf(useSettled(painted)).map((notation) => (
        <li key={notation.id} className="flex items-center gap-1">
          <input
            type="checkbox"
            aria-label={`Keep ${notation.name} at the top`}
            title="Keep it at the top"
            checked={chosen.includes(notation.id)}
            onChange={() => onToggle(notation.id)}
          />
          <Copy notation={notation} />
        </li>
      ))}
    </ul>
  );
}

const Copy = ({ notation: { name, text, note } }: { notation: Written }) => (
  <CopyButton
    text={text}
    {...(note ? { label: `Copy ${name} ${text}` } : {})}
    className="w-full justify-between"
  >
    {note ? (
      <>
        {text} <span className="font-sans text-quiet">{note}</span>
      </>
    ) : (
      text
    )}
  </CopyButton>
);
