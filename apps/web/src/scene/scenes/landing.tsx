import { Action } from '../action.tsx';
import { Part } from '../part.tsx';
import type { SceneText } from '../scene-text.ts';
import { TopBar } from './top-bar.tsx';

/** The first page that a visitor sees, with a hero over a gradient or a picture. */
export function Landing({ text }: { text: SceneText }) {
  const cards = [
    [text.card1, text.cardNote1],
    [text.card2, text.cardNote2],
    [text.card3, text.cardNote3],
  ];
  return (
    <Part ground="page" className="min-h-full text-[15px]">
      <TopBar text={text} />
      <Part ground="hero" className="relative">
        <Part ground="hero-veil" className="absolute inset-0" />
        <div className="relative flex min-h-72 flex-col items-start justify-end gap-4 px-7 py-8 @max-[640px]:px-4">
          <Part
            text="hero-text"
            className="max-w-[16em] text-[44px] leading-[1.08] font-bold @max-[640px]:text-[32px]"
          >
            {text.headline}
          </Part>
          <Part text="hero-text" className="text-[20px]">
            {text.lead}
          </Part>
          <div className="flex flex-wrap items-center gap-5">
            <Action accent caption="hero-text" className="px-5 py-2 text-[19px] font-bold">
              {text.action}
            </Action>
            <Part text="hero-text" className="text-[18px] font-semibold underline underline-offset-4">
              {text.second}
            </Part>
          </div>
        </div>
      </Part>
      <div className="grid gap-5 p-7 @max-[640px]:px-4 @min-[700px]:grid-cols-3">
        {cards.map(([title, note], i) => (
          // biome-ignore lint/suspicious/noArrayIndexKey: a fixed row, whose words may be the same
          <Part key={i} ground="raised" line="line" className="rounded-md border p-4">
            <Part text="text" className="text-[19px] font-bold">
              {title}
            </Part>
            <Part text="quiet" className="mb-2">
              {note}
            </Part>
            <Part text="link" className="underline underline-offset-4">
              {text.second}
            </Part>
          </Part>
        ))}
      </div>
    </Part>
  );
}
