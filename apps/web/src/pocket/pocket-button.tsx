import { PanelBottomOpen } from 'lucide-react';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { useDocumentPart, useProjectId } from '../store/selectors.ts';
import { IconButton } from '../ui/icon-button.tsx';
import { OwnWindow } from '../ui/own-window.tsx';
import { part } from '../ui/part.tsx';

const Pocket = part(() => import('./pocket.tsx'));

/** Narrower than this a window beside is none; the pocket is a page then, px. */
const NARROW = 640;

/** Opens the pocket: a small window that stays above others where the browser has it; on a phone a page. */
export function PocketButton() {
  const id = useProjectId();
  const name = useDocumentPart('name');
  const navigate = useNavigate();
  const [open, setOpen] = useState(false);
  return (
    <>
      <IconButton
        label="Pocket"
        data-help="pocket"
        hint="Pocket: your colours in a small window"
        aria-pressed={open}
        onClick={() => (innerWidth < NARROW ? navigate(`/p/${id}/pocket`) : setOpen(!open))}
      >
        <PanelBottomOpen aria-hidden className="size-4" />
      </IconButton>
      {open && (
        <OwnWindow title={`${name}, pocket`} width={300} height={460} above onClose={() => setOpen(false)}>
          <Pocket />
        </OwnWindow>
      )}
    </>
  );
}
