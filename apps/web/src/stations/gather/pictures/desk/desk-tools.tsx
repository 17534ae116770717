import type { AreaSide } from '@mint-lamp/core/document/pictures/picture';
import { Minus, PanelRightClose, PanelRightOpen, Plus } from 'lucide-react';
import { Button } from '../../../../ui/button.tsx';
import { Choice } from '../../../../ui/choice.tsx';
import { Hint } from '../../../../ui/hint.tsx';
import { IconButton } from '../../../../ui/icon-button.tsx';
import { SIDE_OPTIONS, sideOf } from './sides.ts';
import type { DeskViewing } from './use-desk-view.ts';

interface DeskToolsProps {
  viewing: DeskViewing;
  side: AreaSide;
  onSide: (side: AreaSide) => void;
  panel: boolean;
  onPanel: (open: boolean) => void;
}

const ZOOM = 1.5;

/** How large the picture is seen, how large an area is averaged, and whether the panel is there. */
export function DeskTools({ viewing, side, onSide, panel, onPanel }: DeskToolsProps) {
  const { view, zoom, fit, actual } = viewing;
  return (
    <div className="flex flex-wrap items-center justify-end gap-x-3 gap-y-1">
      <Choice
        label="Averaged area"
        value={String(side)}
        options={SIDE_OPTIONS}
        beside
        className="w-60"
        onChange={(next) => onSide(sideOf(next))}
      />
      <fieldset aria-label="Zoom" className="flex items-center gap-1">
        <IconButton label="Smaller" hint="Zoom out (−, or the wheel)" onClick={() => zoom(1 / ZOOM)}>
          <Minus aria-hidden className="size-4" />
        </IconButton>
        <span className="w-14 text-center" data-testid="zoom">
          {Math.round(view.scale * 100)} %
        </span>
        <IconButton label="Larger" hint="Zoom in (+, or the wheel)" onClick={() => zoom(ZOOM)}>
          <Plus aria-hidden className="size-4" />
        </IconButton>
        <Hint text="Fit the picture (0)">
          <Button onClick={fit}>Fit</Button>
        </Hint>
        <Hint text="One pixel of the picture as one of the screen">
          <Button onClick={actual}>1 : 1</Button>
        </Hint>
      </fieldset>
      <IconButton label={panel ? 'Hide the panel' : 'Show the panel'} onClick={() => onPanel(!panel)}>
        {panel ? (
          <PanelRightClose aria-hidden className="size-4" />
        ) : (
          <PanelRightOpen aria-hidden className="size-4" />
        )}
      </IconButton>
    </div>
  );
}
