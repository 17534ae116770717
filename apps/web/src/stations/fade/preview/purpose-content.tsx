import type { Purpose } from './purposes.ts';

/** Words on a gradient as it is used; for sighted eyes, its contrast is measured at Check. */
export function PurposeContent({
  purpose,
  words,
  action,
}: {
  purpose: Purpose;
  words: string;
  action: string;
}) {
  switch (purpose) {
    case 'hero':
      return (
        <span className="absolute bottom-6 left-7 text-[30px] leading-tight font-bold text-[#ffffff]">
          {words}
        </span>
      );
    case 'button':
      return <span className="text-[18px] font-bold text-[#ffffff]">{action}</span>;
    case 'card':
      return (
        <span className="absolute inset-x-5 bottom-4 flex items-center justify-between text-[17px] font-semibold text-[#ffffff]">
          {words}
        </span>
      );
    case 'page':
      return (
        <span className="absolute inset-x-10 top-7 bottom-0 rounded-t-md bg-[#ffffff] p-5 text-[20px] font-bold text-[#141414]">
          {words}
        </span>
      );
    default:
      return null;
  }
}
