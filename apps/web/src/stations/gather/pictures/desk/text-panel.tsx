import { describeColor } from '@mint-lamp/core/color/describe';
import { readColor } from '@mint-lamp/core/color/parse';
import { formatRatio, reaches } from '@mint-lamp/core/contrast/ratio';
import {
  CONTENT_NAMES,
  type Content,
  describeTarget,
  type Level,
  requiredRatio,
} from '@mint-lamp/core/contrast/targets';
import type { Picture, TextOver } from '@mint-lamp/core/document/pictures/picture';
import { sampledText } from '@mint-lamp/core/picture/sample';
import clsx from 'clsx';
import { useEditing } from '../../../../store/editing.ts';
import { Button } from '../../../../ui/button.tsx';
import { Choice } from '../../../../ui/choice.tsx';
import { ColorChip } from '../../../../ui/color-chip.tsx';
import { part } from '../../../../ui/part.tsx';
import type { Taking } from '../../taking/use-taking.ts';
import type { SeenFirst } from './use-eye.ts';
import type { Measured } from './use-worst.ts';

const EyePanel = part(() => import('./eye-panel.tsx'));

const CONTENTS = (['body', 'large'] as const).map((value) => ({ value, label: CONTENT_NAMES[value] }));
const LEVELS = (['AA', 'AAA'] as const).map((value) => ({ value, label: value }));

/** Colours that are offered once it is known how well each can be read. */
const MOST_SHOWN = 15;

interface TextPanelProps {
  picture: Picture;
  text: TextOver | null;
  measured: Measured | null;
  /** Colours of the picture that a text can have: of markers and of the palette that is open. */
  candidates: readonly string[];
  /** The worst ratio that each would have, as far as it is known. */
  ratios: ReadonlyMap<string, number>;
  /** What is seen first; null while that is not known. */
  seen: SeenFirst | null;
  /** A text to begin with, in a colour. */
  onBegin: (color: string) => TextOver;
  taking: Taking;
}

/** Text in a colour of the picture, over a region of it: the contrast at the place where it is worst. */
export function TextPanel(props: TextPanelProps) {
  const { picture, text, measured, candidates, ratios, seen, onBegin, taking } = props;
  const { edit } = useEditing();
  const set = (next: TextOver | null) => edit({ type: 'setTextOver', picture: picture.id, text: next });
  // What can be read best comes first.
  const sorted = text
    ? [...candidates]
        .sort((a, b) => (ratios.get(b) ?? 0) - (ratios.get(a) ?? 0))
        .filter((color, i) => i < MOST_SHOWN || color === text.color)
    : candidates;
  return (
    <>
      <p className="mb-1 text-sm text-quiet">Text in a colour of the picture</p>
      <ul className="mb-3 flex flex-wrap gap-1">
        {sorted.map((color) => (
          <li key={color}>
            <button
              type="button"
              aria-label={`Text in ${color}${ratioWords(ratios.get(color))}`}
              aria-pressed={text?.color === color}
              title={color}
              onClick={() => set(text ? { ...text, color } : onBegin(color))}
              className="rounded-md border-2 border-transparent p-px aria-pressed:border-main"
            >
              <ColorChip css={color} className="block h-6 w-10" />
              {text && (
                <span
                  className={clsx(
                    'block h-4 text-center text-sm',
                    reaches(ratios.get(color) ?? 0, requiredRatio(text.target)) ? 'text-pass' : 'text-quiet',
                  )}
                >
                  {ratios.has(color) && formatRatio(ratios.get(color)!)}
                </span>
              )}
            </button>
          </li>
        ))}
      </ul>
      {text ? (
        <Measures picture={picture} text={text} measured={measured} seen={seen} set={set} taking={taking} />
      ) : (
        <p className="text-quiet">
          {candidates.length
            ? 'Choose one, then drag its region to where the text is to stand.'
            : 'Put a marker on the picture, or open a palette: their colours can be tried as text here.'}
        </p>
      )}
    </>
  );
}

const ratioWords = (ratio: number | undefined) =>
  ratio === undefined ? '' : `, at worst ${formatRatio(ratio)}`;

interface MeasuresProps extends Pick<TextPanelProps, 'picture' | 'measured' | 'seen' | 'taking'> {
  text: TextOver;
  set: (text: TextOver | null) => void;
}

function Measures({ text, measured, seen, set, taking }: MeasuresProps) {
  const { target } = text;
  const required = requiredRatio(target);
  // Of what was there a moment ago, until the next is measured.
  const passes = measured && reaches(measured.ratio, required);
  const ground = measured && sampledText({ ...measured.ground, alpha: 1 });
  return (
    <>
      <div className="mb-3 flex gap-2">
        <Choice
          label="Content"
          value={target.content as 'body' | 'large'}
          options={CONTENTS}
          className="flex-1"
          onChange={(content: Content) => set({ ...text, target: { ...target, content } })}
        />
        <Choice
          label="Level"
          value={target.level}
          options={LEVELS}
          className="w-20"
          onChange={(level: Level) => set({ ...text, target: { ...target, level } })}
        />
      </div>
      <div role="status" aria-live="polite" className="mb-3">
        {measured && (
          <>
            <p className="flex items-baseline gap-2">
              <b className="font-title text-2xl font-semibold" data-testid="worst-ratio">
                {formatRatio(measured.ratio)}
              </b>
              <span className={clsx('font-semibold', passes ? 'text-pass' : 'text-fail')}>
                {passes ? 'passes' : 'fails'}
              </span>
              <span className="text-sm text-quiet">
                {describeTarget(target)} needs {required}
              </span>
            </p>
            <p className="mt-1 flex items-center gap-2 text-sm">
              <ColorChip css={text.color} className="h-6 w-8 rounded-r-none!" />
              <ColorChip css={ground} className="-ml-2 h-6 w-8 rounded-l-none!" />
              <span>
                worst at {measured.x}, {measured.y}, on {ground && describeColor(readColor(ground))}{' '}
                <span className="font-mono">{ground}</span>
              </span>
            </p>
          </>
        )}
      </div>
      {seen && <EyePanel seen={seen} text={text} set={set} />}
      <div className="flex flex-wrap gap-1.5">
        <Button small disabled={!ground} onClick={() => ground && taking.tray([text.color, ground])}>
          Both to the tray
        </Button>
        <Button small disabled={!ground} onClick={() => ground && taking.pair(text, ground)}>
          Make it a pair
        </Button>
        <Button small look="danger" onClick={() => set(null)}>
          Remove the text
        </Button>
      </div>
      <p className="mt-3 text-sm text-quiet">
        Drag the region, or go to it with Tab: arrow keys move it, with Ctrl they make it larger and smaller.
      </p>
    </>
  );
}
