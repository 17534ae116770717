import { STARTER_PARTS, type StarterPart } from '@mint-lamp/core/edits/roles/starter-parts';

const NAMES: Readonly<Record<StarterPart, string>> = {
  page: 'page',
  text: 'text',
  line: 'lines',
  action: 'actions',
  accent: 'accent',
  focus: 'focus',
  notice: 'notices',
};

interface PartChoiceProps {
  parts: ReadonlySet<StarterPart>;
  /** Those that are always there. */
  always?: readonly StarterPart[];
  onChange: (parts: ReadonlySet<StarterPart>) => void;
}

/** Chooses the starter roles part by part. */
export function PartChoice({ parts, always = [], onChange }: PartChoiceProps) {
  const toggle = (part: StarterPart) => {
    const next = new Set(parts);
    if (!next.delete(part)) next.add(part);
    onChange(next);
  };
  return (
    <fieldset aria-label="Its roles" className="flex flex-wrap gap-x-3 gap-y-1">
      <span className="text-sm text-quiet">Roles for</span>
      {STARTER_PARTS.map((part) => (
        <label key={part} className="flex items-center gap-1.5">
          <input
            type="checkbox"
            checked={parts.has(part) || always.includes(part)}
            disabled={always.includes(part)}
            onChange={() => toggle(part)}
          />
          {NAMES[part]}
        </label>
      ))}
    </fieldset>
  );
}
