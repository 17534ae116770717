import { Part } from '../part.tsx';
import type { SceneText } from '../scene-text.ts';

/** A board that is read from afar: large, few words, one line marked. */
export function Board({ text }: { text: SceneText }) {
  const rows = [
    [text.time1, text.what1, text.state1],
    [text.time2, text.what2, text.state2],
    [text.time3, text.what3, text.state3],
    [text.time4, text.what4, text.state4],
  ];
  return (
    <Part ground="board" className="min-h-full px-8 py-7 @max-[640px]:px-4">
      <div className="mb-4 flex flex-wrap items-baseline justify-between gap-x-4">
        <Part text="board-text" className="text-[34px] font-bold">
          {text.boardTitle}
        </Part>
        <Part text="board-quiet" className="text-[26px]">
          {text.time1}
        </Part>
      </div>
      {rows.map(([time, what, state], i) => (
        <Part
          // biome-ignore lint/suspicious/noArrayIndexKey: a fixed row, whose words may be the same
          key={i}
          line="board-quiet"
          className="grid grid-cols-[110px_1fr] items-baseline gap-x-6 border-t py-3.5 text-[30px] leading-tight @min-[700px]:grid-cols-[110px_1fr_auto]"
        >
          <Part text="board-text" className="font-bold">
            {time}
          </Part>
          <Part text="board-text">{what}</Part>
          {i === 1 || i === 3 ? (
            <Part
              ground={i === 1 ? 'warning' : 'danger'}
              text={i === 1 ? 'warning-text' : 'danger-text'}
              className="rounded-md px-3 text-[24px] font-semibold @max-[700px]:col-start-2 @max-[700px]:justify-self-start"
            >
              {state}
            </Part>
          ) : (
            <Part text="board-quiet" className="text-[24px] @max-[700px]:col-start-2">
              {state}
            </Part>
          )}
        </Part>
      ))}
    </Part>
  );
}
