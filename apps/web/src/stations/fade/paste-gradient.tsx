import { svgGradients } from '@mint-lamp/core/exchange/svg-gradients';
import { findGradients } from '@mint-lamp/core/gradient/find-css';
import type { CssGradient } from '@mint-lamp/core/gradient/model';
import { readGradient } from '@mint-lamp/core/gradient/read-css';
import { writeGradient } from '@mint-lamp/core/gradient/write-css';
import {
  LINKED_WITHIN,
  pastedColors,
  pastedGradient,
} from '@mint-lamp/core/system/gradients/pasted-gradient';
import { freeName, slugsOf } from '@mint-lamp/core/system/names';
import { useMemo, useState } from 'react';
import { useNavigate } from 'react-router';
import { addressOf } from '../../addresses.ts';
import { newId, useEditing } from '../../store/editing.ts';
import { useProjectId, useSystem } from '../../store/selectors.ts';
import { Button } from '../../ui/button.tsx';
import { NumberField } from '../../ui/number-field.tsx';
import { readSvg } from './read-svg.ts';

/** A gradient that was found in what was pasted. */
interface Found {
  readonly key: string;
  readonly name: string;
  readonly gradient: CssGradient;
  /** What of it could not be brought along, in words. */
  readonly notes: readonly string[];
}

const isSvg = (text: string) => /<(svg|linearGradient|radialGradient)[\s>]/.test(text);

/** The gradients of a text: those of CSS wherever they stand in it, or those of an SVG file. */
function foundIn(text: string): Found[] {
  if (isSvg(text)) {
    const root = readSvg(text);
    return root
      ? svgGradients(root).map(({ id, gradient, notes }) => ({ key: id, name: id, gradient, notes }))
      : [];
  }
  return findGradients(text).map((found) => ({
    key: found.text,
    name: 'Pasted',
    gradient: found.gradient,
    notes: [],
  }));
}

/** Why nothing can be read of a pasted text, where that is so. */
function faultOf(text: string): string | null {
  if (!text.trim() || foundIn(text).length) return null;
  if (isSvg(text))
    return readSvg(text)
      ? 'There is no linear or radial gradient with two stops in this SVG.'
      : 'This is no well-formed SVG: it breaks off, or a tag is not closed.';
  const read = readGradient(
    text
      .trim()
      .replace(/^[\w-]+\s*:\s*/, '')
      .replace(/;\s*$/, ''),
  );
  return read.ok ? null : read.reason;
}

/** Takes CSS gradients from a text, whole, with links to shades where those are near. */
export default function PasteGradient({ onDone }: { onDone: () => void }) {
  const [text, setText] = useState('');
  const [within, setWithin] = useState(LINKED_WITHIN);
  const found = useMemo(() => foundIn(text), [text]);
  const fault = useMemo(() => faultOf(text), [text]);
  return (
    <div className="flex w-[440px] flex-col gap-2">
      <label htmlFor="pasted-css" className="text-sm text-quiet">
        CSS with gradients in it, in any notation, or an SVG file
      </label>
      <textarea
        id="pasted-css"
        value={text}
        rows={3}
        spellCheck={false}
        aria-describedby="pasted-fault"
        onChange={({ target }) => setText(target.value)}
        className="rounded-md border border-control bg-raised p-2 font-mono text-sm"
        placeholder="background: linear-gradient(105deg in oklab, #002f39, #e2552b 82%);"
      />
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
        label="Link colours to shades within (ΔE OK)"
        value={within}
        min={0}
        max={0.1}
        decimals={3}
        onCommit={setWithin}
        className="w-72"
      />
      {found.length > 0 && (
        <ul aria-label="Gradients in it" className="flex flex-col gap-2">
          {found.map((one) => (
            <Pasted key={one.key} found={one} within={within} onDone={onDone} />
          ))}
        </ul>
      )}
    </div>
  );
}

function Pasted({ found, within, onDone }: { found: Found; within: number; onDone: () => void }) {
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
    const refused = gradient
      ? tryEdit({ type: 'addGradient', gradient })
      : colors.length < 2
        ? 'A gradient needs at least two colours.'
        : 'A stop of this gradient lies beyond its line, which a project cannot hold.';
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
          Take it
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
