import { Action } from '../action.tsx';
import { Part } from '../part.tsx';
import type { SceneText } from '../scene-text.ts';
import { TopBar } from './top-bar.tsx';

const STATES = ['good', 'warning', 'good', 'danger'] as const;

/** What is on today, hour by hour, with what has changed. */
export function Timetable({ text }: { text: SceneText }) {
  const rows = [
    [text.time1, text.what1, text.state1],
    [text.time2, text.what2, text.state2],
    [text.time3, text.what3, text.state3],
    [text.time4, text.what4, text.state4],
  ];
  return (
    <Part ground="page" className="min-h-full text-[15px]">
      <TopBar text={text} />
      <Part ground="hero" className="relative h-36">
        <Part ground="hero-veil" className="absolute inset-0" />
        <Part text="hero-text" className="absolute inset-x-7 bottom-5">
          <div className="text-[30px] leading-tight font-bold">{text.headline}</div>
          <div className="text-[24px] leading-snug">{text.lead}</div>
        </Part>
      </Part>
      <div className="grid gap-6 p-7 @max-[640px]:px-4 @min-[700px]:grid-cols-[1.6fr_1fr]">
        <Part ground="raised" line="line" className="self-start rounded-md border">
          <div className="flex flex-wrap items-baseline justify-between gap-x-3 px-4 pt-3 pb-2">
            <Part text="text" className="text-[19px] font-bold">
              {text.listTitle}
            </Part>
            <Part text="quiet">{text.listNote}</Part>
          </div>
          {rows.map(([time, what, state], i) => (
            <Part
              // biome-ignore lint/suspicious/noArrayIndexKey: a fixed row, whose words may be the same
              key={i}
              line="line"
              className="flex flex-wrap items-center gap-x-4 gap-y-1 border-t px-4 py-2.5"
            >
              <Part text="text" className="w-14 font-bold">
                {time}
              </Part>
              <Part text="text" className="flex-1">
                {what}
              </Part>
              <Part
                ground={STATES[i]!}
                text={`${STATES[i]!}-text`}
                className="rounded-md px-2 py-0.5 text-[14px] font-semibold whitespace-nowrap"
              >
                {state}
              </Part>
            </Part>
          ))}
        </Part>
        <div className="flex flex-col gap-5">
          <Part ground="board" className="rounded-md p-4">
            <Part text="board-quiet" className="text-[14px]">
              {text.nextTitle}, {text.place1}
            </Part>
            <Part text="board-text" className="text-[32px] leading-tight font-bold">
              {text.time2}
            </Part>
            <Part text="board-text" className="text-[18px]">
              {text.what2}
            </Part>
          </Part>
          <Part ground="raised" line="edge" className="rounded-md border p-4">
            <Part text="text" className="mb-1 font-bold">
              {text.offer}
            </Part>
            <Part text="quiet" className="mb-3 text-[14px]">
              {text.offerNote}
            </Part>
            <Action accent focused className="px-5 py-2 text-[19px] font-bold">
              {text.action}
            </Action>
          </Part>
        </div>
      </div>
    </Part>
  );
}
