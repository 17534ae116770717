import { parseColor } from '@mint-lamp/core/color/parse';
import type { Color } from '@mint-lamp/core/color/spaces';
import { canonical } from '@mint-lamp/core/color/write';
import { Pipette, X } from 'lucide-react';
import { memo, useCallback } from 'react';
import { useStore } from 'react-redux';
import { useNavigate } from 'react-router';
import { toast } from 'sonner';
import { addressOf } from '../addresses.ts';
import { edit } from '../store/editing.ts';
import { selected } from '../store/interface-slice.ts';
import { selectDocument, useProjectId } from '../store/selectors.ts';
import type { AppStore } from '../store/store.ts';
import { Button } from '../ui/button.tsx';
import { ColorChip } from '../ui/color-chip.tsx';
import { IconButton } from '../ui/icon-button.tsx';

/** The browser's own way to pick a colour anywhere on the screen, where it has one. */
interface ScreenPicker {
  open(): Promise<{ readonly sRGBHex: string }>;
}
declare global {
  interface Window {
    readonly EyeDropper?: new () => ScreenPicker;
  }
}

interface PickFromScreenProps {
  onPick: (color: Color) => void;
  /** Whether what it does is written on it. */
  labelled?: boolean;
}

/** Picks a colour anywhere on the screen; where the browser cannot, it says so and leads to a picture of it. */
export const PickFromScreen = memo(function PickFromScreen({ onPick, labelled }: PickFromScreenProps) {
  const id = useProjectId();
  const navigate = useNavigate();
  const pick = async () => {
    if (!window.EyeDropper) {
      toast('This browser can’t pick from the screen. Take a screenshot and open it as a picture.', {
        action: { label: 'To pictures', onClick: () => navigate(addressOf(id, 'gather', 'pictures')) },
      });
      return;
    }
    try {
      const { sRGBHex } = await new window.EyeDropper().open();
      const parsed = parseColor(sRGBHex);
      if (parsed.ok) onPick(parsed.color);
    } catch (error) {
      // Escape ends picking without a colour, which is nobody's mistake.
      if (!(error instanceof DOMException && error.name === 'AbortError'))
        toast.error('Nothing could be picked from the screen.');
    }
  };
  return labelled ? (
    <Button onClick={pick}>
      <Pipette aria-hidden className="size-4" /> Pick from the screen
    </Button>
  ) : (
    <IconButton label="Pick from the screen" onClick={pick}>
      <Pipette aria-hidden className="size-4" />
    </IconButton>
  );
});

/** Puts a colour into the tray, and lights it there; one that lies there already is only lit. */
export function usePutIntoTray(): (color: Color) => Promise<void> {
  const store = useStore() as AppStore;
  return useCallback(
    async (color) => {
      const { newSwatches } = await import('../kinds/tray/new-swatches.ts');
      const text = canonical(color);
      const there = selectDocument(store.getState()).tray.find((swatch) => swatch.color === text);
      if (there) {
        store.dispatch(selected({ kind: 'swatch', swatch: there.id }));
        toast(`${there.name} is in the tray already`);
        return;
      }
      const [swatch] = newSwatches([text]);
      if (!store.dispatch(edit({ type: 'addSwatch', swatch: swatch! }))) return;
      store.dispatch(selected({ kind: 'swatch', swatch: swatch!.id }));
      toast(`${swatch!.name} is in the tray below`);
    },
    [store],
  );
}

interface PickedColorProps {
  picked: Color;
  /** Makes the lit colour this one. */
  onTake: () => void;
  onDone: () => void;
}

/** What was picked while a colour is lit: it changes nothing until it is said what it is for. */
export function PickedColor({ picked, onTake, onDone }: PickedColorProps) {
  const putIntoTray = usePutIntoTray();
  const text = canonical(picked);
  return (
    <fieldset aria-label="Picked from the screen" className="flex flex-col gap-1.5 rounded-md bg-sunken p-2">
      <div className="flex items-center gap-2">
        <ColorChip css={text} className="size-8" />
        <span role="status" className="flex-1 text-sm">
          Picked <span className="font-mono">{text}</span>
        </span>
        <IconButton small label="Discard the picked colour" onClick={onDone}>
          <X aria-hidden className="size-4" />
        </IconButton>
      </div>
      <div className="flex flex-wrap gap-1.5">
        <Button
          small
          look="primary"
          onClick={() => {
            onDone();
            void putIntoTray(picked);
          }}
        >
          Add to the tray
        </Button>
        <Button small onClick={onTake}>
          Replace the selected colour
        </Button>
      </div>
    </fieldset>
  );
}
