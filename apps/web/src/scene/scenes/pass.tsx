import { Part } from '../part.tsx';
import type { SceneText } from '../scene-text.ts';

// Bars as on a printed code, in units of width; drawn, and no code of anything.
const BARS = [3, 1, 2, 4, 1, 1, 3, 2, 1, 4, 2, 1, 1, 3, 1, 2, 4, 1, 2, 3, 1, 1, 2, 4, 1, 3];

/** Something to print and to show: whose it is, from where to where, and a code to be read by a machine. */
export function Pass({ text }: { text: SceneText }) {
  return (
    <Part ground="page" className="flex min-h-full items-start justify-center p-8 @max-[640px]:p-4">
      <Part
        ground="raised"
        line="edge"
        className="w-full max-w-[760px] overflow-hidden rounded-[10px] border"
      >
        <Part ground="action" className="flex flex-wrap items-baseline justify-between gap-x-4 px-6 py-3">
          <Part text="action-text" className="text-[22px] font-bold">
            {text.passTitle}
          </Part>
          <Part text="action-text" className="text-[18px]">
            {text.name}
          </Part>
        </Part>
        <div className="grid gap-6 p-6 @min-[640px]:grid-cols-[1fr_auto]">
          <div>
            <Part text="text" className="text-[32px] leading-tight font-bold">
              {text.passFrom}
            </Part>
            <Part text="quiet" className="text-[26px] leading-none">
              ↓
            </Part>
            <Part text="text" className="text-[32px] leading-tight font-bold">
              {text.passTo}
            </Part>
            <Part line="line" className="mt-4 grid grid-cols-3 gap-4 border-t border-dashed pt-3">
              {[text.passName, text.passDay, text.passCode].map((entry, i) => (
                // biome-ignore lint/suspicious/noArrayIndexKey: a fixed row, whose words may be the same
                <Part key={i} text="text" className="text-[18px] font-semibold">
                  {entry}
                </Part>
              ))}
            </Part>
          </div>
          <div className="flex h-32 items-stretch gap-[3px]">
            {BARS.map((width, i) => (
              // biome-ignore lint/suspicious/noArrayIndexKey: a fixed row
              <Part key={i} ground="text" style={{ width }} />
            ))}
          </div>
        </div>
        <Part ground="note" text="note-text" className="px-6 py-3 text-[15px]">
          {text.passNote}
        </Part>
      </Part>
    </Part>
  );
}
