import { oklchToRgb8, rgb8ToOklch } from '@mint-lamp/core/color/gamut';
import type { Triple } from '@mint-lamp/core/color/kernel';
import { hexOfRgb8 } from '@mint-lamp/core/color/write';
import type { Command } from '@mint-lamp/core/document/commands/command';
import { clamp01 } from '@mint-lamp/core/numbers/clamp';
import { colorOf } from '@mint-lamp/core/system/painted';
import { useEffect, useRef } from 'react';
import type { LitColor } from '../kinds/lit-color.ts';
import { singleKeyOf } from '../shortcuts.ts';
import { useEditing } from '../store/editing.ts';

/** What a key moves, in OKLCH: lightness, chroma, hue in degrees. With Shift the other way. */
const MOVES: Readonly<Record<string, Triple>> = {
  l: [0.01, 0, 0],
  c: [0, 0.005, 0],
  h: [0, 0, 15],
};
/** Presses within so many ms of each other are one edit, with one undo. */
const TOGETHER_MS = 700;

/** Where some presses have come to. A hue survives grey, and a chroma the edge of the gamut. */
interface Run {
  oklch: Triple;
  /** What that is painted as, opacity aside. */
  hex: string;
  command: Command | null;
}

/** Keys that move the lit colour a little: lighter, more colourful, to the next hue; with Shift the other way. */
export function useColorKeys({ painted, change }: LitColor): void {
  const { edit, preview } = useEditing();
  const latest = useRef({ painted, change });
  latest.current = { painted, change };
  useEffect(() => {
    let run: Run | null = null;
    let timer = 0;
    const finish = () => {
      clearTimeout(timer);
      if (run?.command) edit(run.command);
      if (run) run.command = null;
    };
    const onKey = (event: KeyboardEvent) => {
      const { painted: now, change: to } = latest.current;
      const move = MOVES[singleKeyOf(event) ?? ''];
      if (!move || !now || !to) {
        // Undo and all else come after what was pressed before.
        if (event.key !== 'Shift' && event.key !== 'Alt') finish();
        return;
      }
      event.preventDefault();
      const way = event.shiftKey ? -1 : 1;
      const from = run?.hex === hexOfRgb8(now.r, now.g, now.b) ? run.oklch : rgb8ToOklch(now.r, now.g, now.b);
      const oklch: Triple = [
        clamp01(from[0] + move[0] * way),
        Math.max(0, from[1] + move[1] * way),
        (from[2] + move[2] * way + 360) % 360,
      ];
      const moved = oklchToRgb8(...oklch);
      // What cannot be more colourful stays as it is.
      const isLess = move[1] * way > 0 && rgb8ToOklch(...moved)[1] < rgb8ToOklch(now.r, now.g, now.b)[1];
      const [r, g, b] = isLess ? ([now.r, now.g, now.b] as Triple) : moved;
      const command = to(colorOf({ r, g, b, alpha: now.alpha }));
      run = { oklch, hex: hexOfRgb8(r, g, b), command };
      preview(command);
      clearTimeout(timer);
      timer = window.setTimeout(finish, TOGETHER_MS);
    };
    addEventListener('keydown', onKey);
    addEventListener('pointerdown', finish, true);
    return () => {
      removeEventListener('keydown', onKey);
      removeEventListener('pointerdown', finish, true);
      finish();
    };
  }, [edit, preview]);
}
