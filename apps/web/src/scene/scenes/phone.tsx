import clsx from 'clsx';
import { Action } from '../action.tsx';
import { Part } from '../part.tsx';
import type { SceneText } from '../scene-text.ts';

/** A screen for a phone: what is next, a list for the thumb, and where else to go at the bottom. */
export function Phone({ text }: { text: SceneText }) {
  const rows = [
    [text.time1, text.what1],
    [text.time3, text.what3],
    [text.time4, text.what4],
  ];
  return (
    <Part ground="page" className="flex min-h-full justify-center text-[16px]">
      <div className="flex min-h-[640px] w-full max-w-[430px] flex-col">
        <Part ground="hero" className="relative">
          <Part ground="hero-veil" className="absolute inset-0" />
          <div className="relative px-5 pt-10 pb-5">
            <Part text="hero-text" className="text-[15px]">
              {text.nextTitle}, {text.place1}
            </Part>
            <Part text="hero-text" className="text-[44px] leading-none font-bold">
              {text.time2}
            </Part>
            <Part text="hero-text" className="text-[20px]">
              {text.what2}
            </Part>
          </div>
        </Part>
        <Part ground="warning" text="warning-text" className="px-5 py-2.5 text-[15px] font-semibold">
          ◷ {text.warningTitle}
        </Part>
        <div className="flex flex-1 flex-col gap-3 p-4">
          {rows.map(([time, what], i) => (
            <Part
              // biome-ignore lint/suspicious/noArrayIndexKey: a fixed row, whose words may be the same
              key={i}
              ground="raised"
              line="line"
              className="flex items-center gap-4 rounded-md border px-4 py-3"
            >
              <Part text="text" className="text-[19px] font-bold">
                {time}
              </Part>
              <Part text="quiet" className="flex-1">
                {what}
              </Part>
              <Part text="link" className="text-[22px] leading-none">
                ›
              </Part>
            </Part>
          ))}
          <Action accent className="mt-auto py-3 text-center text-[19px]">
            {text.action}
          </Action>
        </div>
        <Part ground="raised" line="line" className="grid grid-cols-3 border-t">
          {[text.menu1, text.menu2, text.menu3].map((item, i) => (
            <Part
              // biome-ignore lint/suspicious/noArrayIndexKey: a fixed row, whose words may be the same
              key={i}
              text={i === 0 ? 'link' : 'quiet'}
              line={i === 0 ? 'action' : 'raised'}
              className={clsx('border-t-[3px] py-3 text-center text-[14px]', i === 0 && 'font-bold')}
            >
              {item}
            </Part>
          ))}
        </Part>
      </div>
    </Part>
  );
}
