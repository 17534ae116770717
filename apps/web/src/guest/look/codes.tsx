import { CopyButton } from '../../ui/copy-button.tsx';

/** Codes are for those who ask for them. */
export function CodesSwitch({ on, onChange }: { on: boolean; onChange: (on: boolean) => void }) {
  return (
    <label className="flex h-9 items-center gap-2 text-base">
      <input
        type="checkbox"
        checked={on}
        onChange={(event) => onChange(event.target.checked)}
        className="size-4.5 accent-(--text-main)"
      />
      Show codes
    </label>
  );
}

/** A code, copied with one press; nothing where codes are not asked for. */
export const Code = ({ text, on }: { text: string; on: boolean }) =>
  on ? <CopyButton text={text} className="-ml-1.5 min-h-7 max-w-full" /> : null;
