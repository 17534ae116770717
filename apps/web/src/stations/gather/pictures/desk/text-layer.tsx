import type { Picture, TextOver } from '@mint-lamp/core/document/pictures/picture';
import { sameJson } from '@mint-lamp/core/document/same';
import { clamp } from '@mint-lamp/core/numbers/clamp';
import { useEditing } from '../../../../store/editing.ts';
import { useSampleWords } from '../../../../store/selectors.ts';
import { type Pointed, useDrag, type Way } from '../../../../ui/use-drag.ts';
import type { DeskViewing } from './use-desk-view.ts';
import type { Measured } from './use-worst.ts';
import { type DeskView, type Size, toBox } from './view.ts';

/** A region held within the picture, at least one px large. */
function within(picture: Size, text: TextOver): TextOver {
  const width = clamp(Math.round(text.width), 1, picture.width);
  const height = clamp(Math.round(text.height), 1, picture.height);
  return {
    ...text,
    width,
    height,
    x: clamp(Math.round(text.x), 0, picture.width - width),
    y: clamp(Math.round(text.y), 0, picture.height - height),
  };
}

/** A region for a text in the middle of what is seen. */
export function regionIn(view: DeskView, size: Size, picture: Size, color: string): TextOver {
  const [width, height] = [(size.width * 0.4) / view.scale, (size.height * 0.2) / view.scale];
  return within(picture, {
    color,
    x: view.cx - width / 2,
    y: view.cy - height / 2,
    width,
    height,
    target: { level: 'AA', content: 'body' },
  });
}

interface TextLayerProps {
  picture: Picture;
  text: TextOver;
  viewing: DeskViewing;
  drawn: { readonly view: DeskView; readonly size: Size };
  measured: Measured | null;
}

/** The region of a text on the picture, with text in it as large as it will be, and the place where it is worst. */
export function TextLayer({ picture, text, viewing, drawn, measured }: TextLayerProps) {
  const { edit, preview } = useEditing();
  const words = useSampleWords();
  const { view, size } = drawn;
  const command = (next: TextOver) => ({ type: 'setTextOver', picture: picture.id, text: next }) as const;
  const [left, top] = toBox(view, size, text.x, text.y);
  const moved = (from: TextOver, dx: number, dy: number) =>
    within(picture, { ...from, x: from.x + dx, y: from.y + dy });
  const sized = (from: TextOver, dx: number, dy: number) =>
    within(picture, {
      ...from,
      width: clamp(from.width + dx, 1, picture.width - from.x),
      height: clamp(from.height + dy, 1, picture.height - from.y),
    });
  const under = ({ x, y }: Pointed) => viewing.under({ clientX: x, clientY: y });
  const common = {
    grip: (_: unknown, at: Pointed) => ({ at: under(at), from: text }),
    same: sameJson,
    show: (next: TextOver | null) => preview(next && command(next)),
    make: (next: TextOver) => edit(command(next)),
    says: ({ x, y, width, height }: TextOver) => `The region is ${width} × ${height} px at ${x}, ${y}`,
  };
  const to =
    (change: typeof moved) =>
    ({ at: [x, y], from }: { at: readonly [number, number]; from: TextOver }, pointed: Pointed) => {
      const [px, py] = under(pointed);
      return change(from, px - x, py - y);
    };
  const moving = useDrag({
    ...common,
    at: to(moved),
    step({ dx, dy, far, ctrl }: Way, last: TextOver | null) {
      const by = far ? 10 : 1;
      return (ctrl ? sized : moved)(last ?? text, dx * by, dy * by);
    },
  });
  const sizing = useDrag({ ...common, at: to(sized) });
  const large = text.target.content === 'large';
  const [worstX, worstY] = measured ? toBox(view, size, measured.x + 0.5, measured.y + 0.5) : [0, 0];
  return (
    <>
      <div
        className="absolute top-0 left-0"
        style={{
          transform: `translate(${left}px, ${top}px)`,
          width: text.width * view.scale,
          height: text.height * view.scale,
        }}
      >
        <button
          type="button"
          data-specimen
          aria-label={`Region of the text, ${text.width} × ${text.height} px at ${text.x}, ${text.y}`}
          className="block size-full cursor-move touch-none overflow-hidden border border-dashed border-[#fff] p-2 text-left outline-1 outline-[#000] outline-dashed"
          style={{ color: text.color, fontSize: large ? 24 : 16, lineHeight: 1.3 }}
          {...moving.pointer}
          onBlur={moving.onBlur}
          onKeyDown={(event) => {
            if (moving.onKeyDown(event) || (event.key !== 'Delete' && event.key !== 'Backspace')) return;
            edit({ type: 'setTextOver', picture: picture.id, text: null });
            event.preventDefault();
            event.stopPropagation();
          }}
        >
          {words.text}
        </button>
        <span
          aria-hidden
          className="absolute -right-1.5 -bottom-1.5 size-3 cursor-nwse-resize touch-none border border-[#000] bg-[#fff]"
          {...sizing.pointer}
        />
      </div>
      {measured && (
        <svg
          aria-hidden
          className="pointer-events-none absolute top-0 left-0 size-5 overflow-visible"
          style={{ transform: `translate(${worstX}px, ${worstY}px)` }}
        >
          <path d="M-9 0h6M3 0h6M0 -9v6M0 3v6" stroke="#000" strokeWidth="4" />
          <path d="M-9 0h6M3 0h6M0 -9v6M0 3v6" stroke="#fff" strokeWidth="2" />
        </svg>
      )}
    </>
  );
}
