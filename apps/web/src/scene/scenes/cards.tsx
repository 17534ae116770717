import { Action } from '../action.tsx';
import { Part } from '../part.tsx';
import type { SceneText } from '../scene-text.ts';
import { TopBar } from './top-bar.tsx';

/** Cards to choose from, one of them chosen, each with a price and what to do. */
export function Cards({ text }: { text: SceneText }) {
  const cards = [
    [text.card1, text.cardNote1, text.price1],
    [text.card2, text.cardNote2, text.price2],
    [text.card3, text.cardNote3, text.price3],
  ];
  return (
    <Part ground="page" className="min-h-full text-[16px]">
      <TopBar text={text} />
      <div className="grid gap-5 p-7 @max-[640px]:px-4 @min-[700px]:grid-cols-3">
        {cards.map(([title, note, price], i) => {
          const chosen = i === 1;
          return (
            <Part
              // biome-ignore lint/suspicious/noArrayIndexKey: a fixed row, whose words may be the same
              key={i}
              ground={chosen ? 'chosen' : 'raised'}
              line={chosen ? 'action' : 'line'}
              className="flex flex-col overflow-hidden rounded-[10px] border-2"
            >
              <Part ground={(['hero', 'accent', 'action'] as const)[i]!} className="h-24" />
              <div className="flex flex-1 flex-col gap-1 p-4">
                <Part text={chosen ? 'chosen-text' : 'text'} className="text-[21px] font-bold">
                  {title}
                </Part>
                <Part text={chosen ? 'chosen-text' : 'quiet'}>{note}</Part>
                <Part
                  text={chosen ? 'chosen-text' : 'text'}
                  className="mt-auto pt-3 pb-2 text-[28px] font-bold"
                >
                  {price}
                </Part>
                <div>
                  <Action accent={chosen}>{text.action}</Action>
                </div>
              </div>
            </Part>
          );
        })}
      </div>
      <div className="flex flex-wrap gap-2 px-7 pb-7 @max-[640px]:px-4">
        {[text.choice1, text.choice2, text.choice3].map((choice, i) => (
          <Part
            // biome-ignore lint/suspicious/noArrayIndexKey: a fixed row, whose words may be the same
            key={i}
            ground={i === 0 ? 'chosen' : 'page'}
            text={i === 0 ? 'chosen-text' : 'text'}
            line={i === 0 ? 'action' : 'edge'}
            className="rounded-full border px-4 py-1"
          >
            {choice}
          </Part>
        ))}
      </div>
    </Part>
  );
}
