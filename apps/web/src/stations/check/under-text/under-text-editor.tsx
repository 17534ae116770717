import { formatRatio } from '@mint-lamp/core/contrast/ratio';
import { shareWords } from '@mint-lamp/core/contrast/share-words';
import { type Backdrop, LONGEST_BOX } from '@mint-lamp/core/document/pairs/backdrop';
import { type Area, areaWithin } from '@mint-lamp/core/gradient/area';
import type { Measurement } from '@mint-lamp/core/judged/pairs/measurement';
import type { ResolvedTheme } from '@mint-lamp/core/system/resolve';
import { useEditing } from '../../../store/editing.ts';
import { useDocumentPart } from '../../../store/selectors.ts';
import { AreaBox } from '../../../ui/area-box.tsx';
import { NumberField } from '../../../ui/number-field.tsx';
import { PaintedArea } from './painted-area.tsx';

const MOST_WIDTH = 560;
const MOST_HEIGHT = 240;

interface UnderTextEditorProps {
  measurement: Measurement;
  theme: ResolvedTheme;
  words: string;
}

/** Where the text of a pair stands on a gradient or a picture: dragged, by keys or as figures; and where it is worst. */
export default function UnderTextEditor({ measurement, theme, words }: UnderTextEditorProps) {
  const { edit, preview } = useEditing();
  const pictures = useDocumentPart('pictures');
  const { pair, over, ratio, required } = measurement;
  const { backdrop } = pair;
  const picture =
    backdrop?.kind === 'picture' ? pictures.find(({ id }) => id === backdrop.picture) : undefined;
  if (!backdrop || (backdrop.kind === 'picture' && !picture)) return null;
  const { width, height } = backdrop.kind === 'gradient' ? backdrop : picture!;
  const scale = Math.min(1, MOST_WIDTH / width, MOST_HEIGHT / height);
  const text = areaWithin(backdrop.text, width, height);
  const command = (next: Backdrop) =>
    ({ type: 'setPair', pair: pair.id, change: { backdrop: next } }) as const;
  const moved = (area: Area) => command({ ...backdrop, text: areaWithin(area, width, height) });
  const figure = (label: string, value: number, most: number, min: number, next: (v: number) => Area) => (
    <NumberField
      label={label}
      value={value}
      min={min}
      max={most}
      className="w-20"
      onCommit={(v) => edit(moved(next(v)))}
    />
  );
  const side = (label: 'width' | 'height') => (
    <NumberField
      label={`Box ${label}`}
      value={backdrop.kind === 'gradient' ? backdrop[label] : 0}
      min={1}
      max={LONGEST_BOX}
      className="w-20"
      onCommit={(v) => edit(command({ ...backdrop, [label]: v } as Backdrop))}
    />
  );
  return (
    <section aria-label={`Where the text stands, in ${theme.theme.name}`} className="mb-3">
      <div className="relative w-fit rounded-md border border-hair">
        <PaintedArea {...{ pair, theme, words, measurement, scale }} shown={{ x: 0, y: 0, width, height }} />
        <AreaBox
          {...{ width, height, scale }}
          area={text}
          label={`Text, ${text.width} × ${text.height} px at ${text.x}, ${text.y}`}
          describedBy={`worst-${pair.id}`}
          onLook={(area) => preview(moved(area))}
          onSet={(area) => edit(moved(area))}
          onGiveUp={() => preview(null)}
        />
      </div>
      <p id={`worst-${pair.id}`} role="status" className="mt-1 text-sm text-quiet">
        {over
          ? `${formatRatio(ratio)} at the cross, the worst place in ${theme.theme.name}; ${failingWords(over.failing, required)}`
          : 'Not measured yet.'}{' '}
        Drag the text, or move it with the arrow keys; with Ctrl they size it.
      </p>
      <div className="mt-1 flex flex-wrap gap-2">
        {figure('Text at x', text.x, width - 1, 0, (x) => ({ ...text, x }))}
        {figure('y', text.y, height - 1, 0, (y) => ({ ...text, y }))}
        {figure('Text width', text.width, width, 1, (v) => ({ ...text, width: v }))}
        {figure('Text height', text.height, height, 1, (v) => ({ ...text, height: v }))}
        {backdrop.kind === 'gradient' && (
          <>
            {side('width')}
            {side('height')}
          </>
        )}
      </div>
    </section>
  );
}

/** The share of an area on which a text falls short, never rounded down to none. */
export function failingWords(failing: number, required: number): string {
  if (failing === 0) return `at least ${required} everywhere.`;
  if (failing === 1) return `below ${required} everywhere.`;
  return `${shareWords(failing)} of what it covers does not reach ${required}.`;
}
