import type { Area } from '@mint-lamp/core/gradient/area';
import { rolePaint } from '@mint-lamp/core/system/roles/role-paint';
import { useSampleWords, useTheme } from '../../../store/selectors.ts';
import { AreaBox, WorstCross } from '../../../ui/area-box.tsx';
import { paintedText } from '../../../ui/painted-text.ts';
import type { BoxSize } from '../preview/purposes.ts';
import { boxOf, lettersOf, type TextTrial } from './text-trial.ts';
import type { Tried } from './use-text-trial.ts';

interface TextOverPreviewProps {
  trial: TextTrial;
  tried: Tried;
  size: BoxSize;
  /** The veil that is shown for a look. */
  veil: string | null;
  describedBy: string;
  onArea: (area: Area) => void;
}

/** The text that is tried, where it stands on the preview, with a cross at its worst place. */
export function TextOverPreview({ trial, tried, size, veil, describedBy, onArea }: TextOverPreviewProps) {
  const theme = useTheme();
  const { text } = useSampleWords();
  const [width, height] = boxOf(size);
  const { area } = trial;
  const css = rolePaint(theme, trial.role);
  return (
    <>
      {veil && <span aria-hidden data-veil className="absolute inset-0" style={{ background: veil }} />}
      <span
        aria-hidden
        className="absolute overflow-hidden whitespace-nowrap"
        style={{
          left: area.x,
          top: area.y,
          width: area.width,
          height: area.height,
          fontSize: lettersOf(trial.required),
          lineHeight: 1.2,
          ...(css ? paintedText(css) : {}),
        }}
      >
        {text}
      </span>
      <AreaBox
        {...{ area, width, height, describedBy }}
        scale={1}
        label={`Text on it, ${area.width} × ${area.height} px at ${area.x}, ${area.y}`}
        onLook={onArea}
        onSet={onArea}
        onGiveUp={() => {}}
      />
      {tried.inBox && <WorstCross x={tried.inBox.x} y={tried.inBox.y} />}
    </>
  );
}
