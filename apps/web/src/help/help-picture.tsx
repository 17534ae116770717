import type { HelpEntry } from './help-entry.ts';

/** What a few words cannot say. For sighted eyes: the words beside it say the same. */
export function HelpPicture({ of }: { of: NonNullable<HelpEntry['picture']> }) {
  switch (of) {
    case 'complement':
      return (
        <Frame>
          <span className="flex h-full items-center justify-center gap-6 bg-[#0b5f6b] px-4 text-white">
            <span>One thing to press</span>
            <span className="rounded-md bg-[#e8875f] px-3 py-1 font-semibold text-[#2a0f04]">Reserve</span>
          </span>
        </Frame>
      );
    case 'shares':
      return (
        <Frame>
          <span className="flex h-full">
            <span className="grid flex-[60] place-content-center bg-[#e9eeec] text-[#12262b]">60</span>
            <span className="grid flex-[30] place-content-center bg-[#0b5f6b] text-white">30</span>
            <span className="grid flex-[10] place-content-center bg-[#c43d15] text-white">10</span>
          </span>
        </Frame>
      );
    case 'sizes':
      return (
        <Frame>
          <span className="flex h-full items-baseline justify-around bg-white px-2 pt-4 text-[#12262b]">
            <span className="text-[16px]">16 px</span>
            <b className="text-[18.66px]">18.66 bold</b>
            <span className="text-[24px]">24 px</span>
          </span>
        </Frame>
      );
    case 'spaces':
      return (
        <Frame>
          <span className="flex h-full flex-col">
            <span
              className="flex-1"
              style={{ background: 'linear-gradient(90deg in srgb, #1d3fd0, #f0c419)' }}
            />
            <span
              className="flex-1"
              style={{ background: 'linear-gradient(90deg in oklab, #1d3fd0, #f0c419)' }}
            />
          </span>
        </Frame>
      );
    case 'axis':
      return (
        <Frame>
          <span
            className="relative block h-full"
            style={{ background: 'linear-gradient(90deg, #000000, #ffffff)' }}
          >
            <span className="absolute inset-y-0 left-[50%] w-0.5 bg-[#c43d15]" />
            <span className="absolute top-1 left-[6%] text-white">text passes on white</span>
            <span className="absolute right-2 bottom-1 text-black">too light</span>
          </span>
        </Frame>
      );
  }
}

const Frame = ({ children }: { children: React.ReactNode }) => (
  <span
    aria-hidden
    data-specimen
    className="mt-2 block h-16 overflow-hidden rounded-md border border-hair text-sm"
  >
    {children}
  </span>
);
