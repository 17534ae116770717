import { parseColor } from '@mint-lamp/core/color/parse';
import type { Color } from '@mint-lamp/core/color/spaces';
import { Pipette } from 'lucide-react';
import { memo } from 'react';
import { useNavigate } from 'react-router';
import { toast } from 'sonner';
import { addressOf } from '../addresses.ts';
import { useProjectId } from '../store/selectors.ts';
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

/** Picks a colour anywhere on the screen; where the browser cannot, it says so and leads to a picture of it. */
export const PickFromScreen = memo(function PickFromScreen({ onPick }: { onPick: (color: Color) => void }) {
  const id = useProjectId();
  const navigate = useNavigate();
  const pick = async () => {
    if (!window.EyeDropper) {
      toast('This browser cannot pick from the screen. Take a picture of the screen and pick from that.', {
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
  return (
    <IconButton label="Pick from the screen" onClick={pick}>
      <Pipette aria-hidden className="size-4" />
    </IconButton>
  );
});
