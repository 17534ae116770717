import { formatRatio } from '@mint-lamp/core/contrast/ratio';
import { type Area, areaWithin } from '@mint-lamp/core/gradient/area';
import { type Backdrop, LONGEST_BOX } from '@mint-lamp/core/system/pairs/backdrop';
import type { Measurement } from '@mint-lamp/core/system/pairs/measurement';
import type { ResolvedTheme } from '@mint-lamp/core/system/resolve/resolve';
import { type KeyboardEvent, type PointerEvent, useRef } from 'react';
import { useEditing } from '../../../store/editing.ts';
import { useDocumentPart } from '../../../store/selectors.ts';
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
  const drag = useRef<{ x: number; y: number; from: Area; sizing: boolean; to: Area | null } | null>(null);
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
  const put = (area: Area): Area => {
    const held = (v: number, most: number) => Math.min(most, Math.max(0, Math.round(v)));
    const size = {
      width: Math.max(1, held(area.width, width)),
      height: Math.max(1, held(area.height, height)),
    };
    return { ...size, x: held(area.x, width - size.width), y: held(area.y, height - size.height) };
  };
  const moved = (area: Area) => command({ ...backdrop, text: put(area) });
  const begin = (event: PointerEvent<HTMLElement>, sizing: boolean) => {
    if (event.button !== 0) return;
    event.stopPropagation();
    event.currentTarget.setPointerCapture(event.pointerId);
    drag.current = { x: event.clientX, y: event.clientY, from: text, sizing, to: null };
  };
  const go = (event: PointerEvent<HTMLElement>) => {
    const now = drag.current;
    if (!now) return;
    event.stopPropagation();
    const [dx, dy] = [(event.clientX - now.x) / scale, (event.clientY - now.y) / scale];
    const { from } = now;
    now.to = now.sizing
      ? {
          ...from,
          width: Math.min(width - from.x, Math.max(1, from.width + dx)),
          height: Math.min(height - from.y, Math.max(1, from.height + dy)),
        }
      : { ...from, x: from.x + dx, y: from.y + dy };
    preview(moved(now.to));
  };
  const end = (event: PointerEvent<HTMLElement>) => {
    event.stopPropagation();
    const to = drag.current?.to;
    drag.current = null;
    if (to) edit(moved(to));
  };
  const giveUp = () => {
    if (drag.current) preview(null);
    drag.current = null;
  };
  const onKeyDown = (event: KeyboardEvent) => {
    const way = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, -1], ArrowDown: [0, 1] }[event.key];
    if (event.key === 'Escape') giveUp();
    if (!way) return;
    event.preventDefault();
    event.stopPropagation();
    const step = event.shiftKey ? 10 : 1;
    const [dx, dy] = [way[0]! * step, way[1]! * step];
    edit(
      moved(
        event.ctrlKey
          ? { ...text, width: text.width + dx, height: text.height + dy }
          : { ...text, x: text.x + dx, y: text.y + dy },
      ),
    );
  };
  const handlers = { onPointerMove: go, onPointerUp: end, onPointerCancel: giveUp };
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
        <button
          type="button"
          aria-label={`Text, ${text.width} × ${text.height} px at ${text.x}, ${text.y}`}
          aria-describedby={`worst-${pair.id}`}
          className="absolute cursor-move touch-none border border-dashed border-[#fff] outline-1 outline-[#000] outline-dashed focus-visible:outline-3 focus-visible:outline-ring focus-visible:outline-solid"
          style={{
            left: text.x * scale,
            top: text.y * scale,
            width: text.width * scale,
            height: text.height * scale,
          }}
          onPointerDown={(event) => begin(event, false)}
          onKeyDown={onKeyDown}
          {...handlers}
        />
        <span
          aria-hidden
          data-corner
          className="absolute size-3 -translate-1/2 cursor-nwse-resize touch-none border border-[#000] bg-[#fff]"
          style={{ left: (text.x + text.width) * scale, top: (text.y + text.height) * scale }}
          onPointerDown={(event) => begin(event, true)}
          {...handlers}
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
  if (failing === 0) return `it reaches ${required} everywhere.`;
  if (failing === 1) return `it reaches ${required} nowhere.`;
  const share = failing < 0.01 ? 'under 1' : failing > 0.99 ? 'over 99' : Math.round(failing * 100);
  return `${share} % of what it covers does not reach ${required}.`;
}
