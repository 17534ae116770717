import { Part } from '../part.tsx';
import type { SceneText } from '../scene-text.ts';
import { TopBar } from './top-bar.tsx';

/** A long read: paragraphs, a quotation, links in the text, and something aside. */
export function Read({ text }: { text: SceneText }) {
  return (
    <Part ground="page" className="min-h-full text-[18px] leading-[1.6]">
      <TopBar text={text} />
      <div className="mx-auto max-w-[680px] px-7 py-8 @max-[640px]:px-4">
        <Part text="text" className="text-[38px] leading-[1.1] font-bold">
          {text.readTitle}
        </Part>
        <Part text="quiet" className="mt-3 mb-5 text-[21px] leading-snug">
          {text.readLead}
        </Part>
        <Part text="text" className="mb-4">
          {text.readText1}
        </Part>
        <Part line="accent" className="my-6 border-l-4 pl-5">
          <Part text="text" className="text-[24px] leading-snug font-semibold">
            {text.readQuote}
          </Part>
          <Part text="quiet" className="text-[15px]">
            {text.readBy}
          </Part>
        </Part>
        <Part text="text" className="mb-4">
          {text.readText2}
        </Part>
        <Part text="link" className="mb-5 underline underline-offset-4">
          {text.readLink}
        </Part>
        <Part ground="sunken" className="rounded-md px-5 py-4 text-[16px]">
          <Part text="text" className="font-bold">
            {text.noteTitle}
          </Part>
          <Part text="quiet">{text.noteText}</Part>
        </Part>
      </div>
    </Part>
  );
}
