import { Part } from '../part.tsx';
import type { SceneText } from '../scene-text.ts';
import { TopBar } from './top-bar.tsx';

const KINDS = [
  ['good', '✓'],
  ['warning', '◷'],
  ['danger', '▲'],
  ['note', 'i'],
] as const;

/** Notices of every kind, as a line, with a title, as a mark. */
export function Notices({ text }: { text: SceneText }) {
  return (
    <Part ground="page" className="min-h-full text-[16px]">
      <TopBar text={text} />
      <div className="mx-auto flex max-w-[820px] flex-col gap-4 p-7 @max-[640px]:px-4">
        <div className="flex flex-wrap gap-2">
          {KINDS.map(([kind, sign]) => (
            <Part
              key={kind}
              ground={kind}
              text={`${kind}-text`}
              className="rounded-full px-3 py-0.5 text-[14px] font-semibold"
            >
              {sign} {text[`${kind}Title`]}
            </Part>
          ))}
        </div>
        {KINDS.map(([kind, sign]) => (
          <Part
            key={kind}
            ground={kind}
            line={`${kind}-text`}
            className="flex items-start gap-3 rounded-md border-l-4 px-4 py-3"
          >
            <Part text={`${kind}-text`} className="w-4 text-center text-[19px] leading-6 font-bold">
              {sign}
            </Part>
            <div>
              <Part text={`${kind}-text`} className="text-[18px] font-bold">
                {text[`${kind}Title`]}
              </Part>
              <Part text={`${kind}-text`}>{text[`${kind}Text`]}</Part>
            </div>
          </Part>
        ))}
        <Part
          ground="raised"
          line="line"
          className="flex flex-wrap items-center gap-x-4 gap-y-1 rounded-md border px-4 py-3"
        >
          <Part text="text" className="flex-1">
            {text.noteText}
          </Part>
          <Part text="link" className="font-semibold underline underline-offset-4">
            {text.second}
          </Part>
        </Part>
      </div>
    </Part>
  );
}
