import { fromRgb8 } from '@mint-lamp/core/color/parse';
import { canonical } from '@mint-lamp/core/color/write';
import type { Rgba } from '@mint-lamp/core/contrast/ratio';
import { numberedName, slugsOf } from '@mint-lamp/core/document/naming/names';
import {
  LINKED_WITHIN,
  pastedGradient,
  pasteNotes,
  whyNotPasted,
} from '@mint-lamp/core/edits/gradients/pasted-gradient';
import type { FoundGradient } from '@mint-lamp/core/gradient/find-css';
import { writeGradient } from '@mint-lamp/core/gradient/write-css';
import { memo, useState } from 'react';
import { useNavigate } from 'react-router';
import { toast } from 'sonner';
import { addressOf } from '../../../addresses.ts';
import { newId, useEditing } from '../../../store/editing.ts';
import { useProjectId, useSystem } from '../../../store/selectors.ts';
import { Button } from '../../../ui/button.tsx';

interface FoundGradientsProps {
  gradients: readonly FoundGradient[];
  onCollect: (colors: readonly string[]) => void;
}

/** Gradients that are shown at first, and with every press of *Show more*. */
const SHOWN = 30;

/** The gradients of a text, painted whole, each to be taken to Fade or as its colours. */
export const FoundGradients = memo(function FoundGradients({ gradients, onCollect }: FoundGradientsProps) {
  const [most, setMost] = useState(SHOWN);
  if (!gradients.length) return null;
  return (
    <section aria-label="Found gradients" className="mb-4">
      <h2 className="mb-1 font-title text-lg font-semibold">
        {gradients.length === 1 ? 'One gradient' : `${gradients.length} gradients`}
      </h2>
      <ul className="flex flex-col gap-2">
        {gradients.slice(0, most).map((found) => (
          <FoundRow key={found.index} found={found} onCollect={onCollect} />
        ))}
      </ul>
      {gradients.length > most && (
        <Button className="mt-2" onClick={() => setMost(most + SHOWN)}>
          Show {Math.min(SHOWN, gradients.length - most)} more
        </Button>
      )}
    </section>
  );
});

const colorText = ({ r, g, b, alpha }: Rgba) => canonical(fromRgb8(r, g, b, alpha));

function FoundRow({
  found,
  onCollect,
}: {
  found: FoundGradient;
  onCollect: FoundGradientsProps['onCollect'];
}) {
  const id = useProjectId();
  const system = useSystem();
  const { edit } = useEditing();
  const navigate = useNavigate();
  const colors = [
    ...new Set(found.gradient.stops.flatMap((item) => (item.kind === 'stop' ? colorText(item.color) : []))),
  ];
  const toFade = () => {
    const gradient = pastedGradient(
      system,
      found.gradient,
      { id: newId(), name: numberedName('Found', slugsOf(system.document.gradients)) },
      LINKED_WITHIN,
    );
    if (!gradient) {
      toast.error(`${whyNotPasted(found.gradient)} Its colours can be taken.`);
      return;
    }
    if (edit({ type: 'addGradient', gradient })) navigate(addressOf(id, 'fade', gradient.id));
  };
  return (
    <li className="flex items-center gap-3">
      <span aria-hidden className="checker h-14 min-w-0 flex-1 overflow-hidden rounded-md border border-hair">
        <span className="block size-full" style={{ background: writeGradient(found.gradient) }} />
      </span>
      <div className="w-56 shrink-0">
        <p className="truncate text-sm" title={found.text}>
          {shapeOf(found)}, {colors.length} colours, line {found.line}
          {found.count > 1 && `, ${found.count} times`}
        </p>
        {[...found.notes, ...pasteNotes(found.gradient)].map((note) => (
          <p key={note} className="text-sm text-look">
            {note}
          </p>
        ))}
        <p className="mt-1 flex gap-1.5">
          <Button small onClick={toFade}>
            To Fade
          </Button>
          <Button small onClick={() => onCollect(colors)}>
            Colours to the tray
          </Button>
        </p>
      </div>
    </li>
  );
}

const round = (degrees: number) => Math.round(degrees * 10) / 10;

/** "linear at 105°", "radial", "conic from 20°". */
function shapeOf({ gradient }: FoundGradient): string {
  const again = gradient.repeating ? 'repeating ' : '';
  switch (gradient.kind) {
    case 'linear': {
      const { direction } = gradient;
      return direction.by === 'angle'
        ? `${again}linear at ${round(direction.degrees)}°`
        : `${again}linear to ${[direction.y, direction.x].filter(Boolean).join(' ')}`;
    }
    case 'radial':
      return `${again}radial, ${gradient.shape}`;
    case 'conic':
      return `${again}conic from ${round(gradient.from)}°`;
  }
}
