import { CONTENT_NAMES, type Content, isLargeText, type Level } from '@mint-lamp/core/contrast/targets';
import type { Pair } from '@mint-lamp/core/system/pairs/pair';
import { useEditing } from '../../../store/editing.ts';
import { Choice } from '../../../ui/choice.tsx';
import { NumberField } from '../../../ui/number-field.tsx';
import { USUAL_SIZE } from './usual-pair.ts';

export const CONTENT_OPTIONS = (Object.keys(CONTENT_NAMES) as Content[]).map((value) => ({
  value,
  label: CONTENT_NAMES[value],
}));
export const LEVEL_OPTIONS: readonly { value: Level; label: string }[] = [
  { value: 'AA', label: 'AA' },
  { value: 'AAA', label: 'AAA' },
];

/** What a pair must reach, and the size for which that holds. */
export function PairSettings({ pair }: { pair: Pair }) {
  const { edit } = useEditing();
  const set = (change: Partial<Omit<Pair, 'id'>>) => edit({ type: 'setPair', pair: pair.id, change });
  const { level, content } = pair.target;
  const tooSmall = content === 'large' && !isLargeText(pair.size, pair.weight);
  return (
    <>
      <Choice
        label="Content"
        value={content}
        options={CONTENT_OPTIONS}
        onChange={(next) => set({ target: { level, content: next }, size: USUAL_SIZE[next] })}
      />
      <Choice
        label="Level"
        value={level}
        options={LEVEL_OPTIONS}
        onChange={(next) => set({ target: { level: next, content } })}
      />
      <div className="grid grid-cols-2 gap-2">
        <NumberField
          label="Size (px)"
          value={pair.size}
          min={6}
          max={200}
          decimals={2}
          onCommit={(size) => set({ size })}
        />
        <NumberField
          label="Weight"
          value={pair.weight}
          min={100}
          max={900}
          onCommit={(weight) => set({ weight })}
        />
      </div>
      {tooSmall && (
        <p className="text-sm text-look">
          Large text is at least 24 px, or 18.66 px in bold (700). At {pair.size} px this counts as body text.
        </p>
      )}
    </>
  );
}
