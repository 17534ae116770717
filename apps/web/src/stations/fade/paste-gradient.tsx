import { freeName, slugsOf } from '@mint-lamp/core/document/naming/names';
import {
  LINKED_WITHIN,
  pastedColors,
  pastedGradient,
  whyNotPasted,
} from '@mint-lamp/core/edits/gradients/pasted-gradient';
import { writeGradient } from '@mint-lamp/core/gradient/write-css';
import { useMemo, useState } from 'react';
import { useNavigate } from 'react-router';
import { addressOf } from '../../addresses.ts';
import { useJob } from '../../jobs/use-job.ts';
import type { PastedGradient, PastedGradients, PastedText } from '../../jobs/work/find-gradients.ts';
import { newId, useEditing } from '../../store/editing.ts';
import { useProjectId, useSystem } from '../../store/selectors.ts';
import { Button } from '../../ui/button.tsx';
import { NumberField } from '../../ui/number-field.tsx';

const isSvg = (text: string) => /<(?:[\w-]+:)?(svg|linearGradient|radialGradient)[\s>]/.test(text);

/** Characters of a text that are read; a file with more is drawn by a machine. */
const LONGEST = 5_000_000;
/** Characters that are put into the field; browsers lay out more for most of a second. */
const SHOWN_TEXT = 30_000;
/** Gradients that are shown at first, and with every press of *Show more*. */
const SHOWN = 12;

/** What is to be looked through in a text, or why there is nothing. */
function readPasted(text: string): { readonly pasted: PastedText | null; readonly fault: string | null } {
  if (!text.trim()) return { pasted: null, fault: null };
  if (text.length > LONGEST)
    return {
      pasted: null,
      fault: 'This is over 5 million characters long. Paste just the part with the gradients.',
    };
  return { pasted: isSvg(text) ? { svg: text } : { css: text }, fault: null };
}

const NONE: PastedGradients = { found: [], fault: null };

/** Takes CSS gradients from a text, whole, with links to shades where those are near. */
export default function PasteGradient({ onDone }: { onDone: () => void }) {
  const [text, setText] = useState('');
  const [within, setWithin] = useState(LINKED_WITHIN);
  const { pasted, fault: unread } = useMemo(() => readPasted(text), [text]);
  const job = useJob('findGradients', pasted);
  const { found, fault: unfound } = (pasted && job.result) || NONE;
  const fault = unread ?? (job.busy ? null : unfound) ?? job.fault;
  const [most, setMost] = useState(SHOWN);
  return (
    <div className="flex w-[440px] flex-col gap-2">
      <label htmlFor="pasted-css" className="text-sm text-quiet">
        CSS with gradients in it, in any notation, or an SVG file
      </label>
      {text.length > SHOWN_TEXT ? (
        <p className="flex items-center justify-between text-sm">
          {text.length.toLocaleString('en-GB')} characters were pasted
          <Button small onClick={() => setText('')}>
            Paste something else
          </Button>
        </p>
      ) : (
        <textarea
          id="pasted-css"
          value={text}
          rows={3}
          spellCheck={false}
          aria-describedby="pasted-fault"
          onChange={({ target }) => setText(target.value)}
          onPaste={(event) => {
            const pastedText = event.clipboardData.getData('text/plain');
            if (pastedText.length <= SHOWN_TEXT) return;
            event.preventDefault();
            setText(pastedText);
          }}
          className="rounded-md border border-control bg-raised p-2 font-mono text-sm"
          placeholder="background: linear-gradient(105deg in oklab, #002f39, #e2552b 82%);"
        />
      )}
      <p id="pasted-fault" role="status" className="text-sm text-fail empty:hidden">
        {fault}
      </p>
      <label className="flex items-center gap-2 text-sm">
        <span className="text-quiet">or a file:</span>
        <input
          type="file"
          accept=".svg,.css,image/svg+xml,text/css"
          aria-label="SVG or CSS file"
          className="min-w-0 flex-1 text-quiet file:mr-2 file:h-6 file:rounded-md file:border file:border-control file:bg-raised file:px-2 file:text-main"
          onChange={async ({ target }) => {
            const [file] = target.files ?? [];
            if (file) setText(await file.text());
          }}
        />
      </label>
      <NumberField
        label="Link to shades closer than (ΔE OK)"
        value={within}
        min={0}
        max={0.1}
        decimals={3}
        onCommit={setWithin}
        className="w-72"
      />
      {found.length > 0 && (
        <ul aria-label="Gradients in it" className="flex flex-col gap-2">
          {found.slice(0, most).map((one) => (
            <Pasted key={one.key} found={one} within={within} onDone={onDone} />
          ))}
        </ul>
      )}
      {found.length > most && (
        <Button onClick={() => setMost(most + SHOWN)}>
          Show {Math.min(SHOWN, found.length - most)} more of {found.length}
        </Button>
      )}
    </div>
  );
}

function Pasted({ found, within, onDone }: { found: PastedGradient; within: number; onDone: () => void }) {
  const system = useSystem();
  const { tryEdit } = useEditing();
  const navigate = useNavigate();
  const id = useProjectId();
  const [fault, setFault] = useState<string | null>(null);
  const colors = useMemo(() => pastedColors(system, found.gradient), [system, found]);
  const near = colors.filter((one) => one.near && one.near.difference <= within);
  const farthest = near.reduce((most, one) => Math.max(most, one.near!.difference), 0);
  const add = () => {
    const { gradients } = system.document;
    const named = { id: newId(), name: freeName(found.name, slugsOf(gradients)) };
    const gradient = pastedGradient(system, found.gradient, named, within);
    const refused = gradient ? tryEdit({ type: 'addGradient', gradient }) : whyNotPasted(found.gradient);
    setFault(refused);
    if (refused) return;
    onDone();
    navigate(addressOf(id, 'fade', named.id));
  };
  return (
    <li className="flex flex-col gap-1">
      <span aria-hidden data-specimen className="checker h-10 overflow-hidden rounded-md border border-hair">
        <span className="block size-full" style={{ background: writeGradient(found.gradient) }} />
      </span>
      <span className="flex items-center gap-2 text-sm text-quiet">
        <span className="min-w-0 flex-1">
          {near.length} of {colors.length} colours are linked
          {near.length > 0 && `, ΔE ${farthest.toFixed(3)} off at most`}
          {found.notes.map((note) => (
            <span key={note} className="block">
              {note}
            </span>
          ))}
        </span>
        <Button small look="primary" onClick={add}>
          Apply
        </Button>
      </span>
      {fault && (
        <span role="alert" className="text-sm text-fail">
          {fault}
        </span>
      )}
    </li>
  );
}
