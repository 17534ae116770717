import {
  CONTENT_NAMES,
  type Content,
  effectiveTarget,
  isLargeText,
  type Level,
  requiredRatio,
} from '@mint-lamp/core/contrast/targets';
import { MOST_WORDS } from '@mint-lamp/core/document/limits';
import type { Pair } from '@mint-lamp/core/document/pairs/pair';
import type { PairChange } from '@mint-lamp/core/document/pairs/pair-commands';
import { sampleOf } from '@mint-lamp/core/judged/pairs/sample';
import { useEditing } from '../../../store/editing.ts';
import { useProjectDocument } from '../../../store/selectors.ts';
import { Choice } from '../../../ui/choice.tsx';
import { NumberField } from '../../../ui/number-field.tsx';
import { TextField } from '../../../ui/text-field.tsx';
import { UnderTextSettings } from '../under-text/under-text-settings.tsx';
import { ExemptSettings } from './exempt-settings.tsx';
import { USUAL_SIZE } from './usual-pair.ts';

export const CONTENT_OPTIONS = (Object.keys(CONTENT_NAMES) as Content[]).map((value) => ({
  value,
  label: CONTENT_NAMES[value],
}));
export const LEVEL_OPTIONS: readonly { value: Level; label: string }[] = [
  { value: 'AA', label: 'AA' },
  { value: 'AAA', label: 'AAA' },
];

/** What a pair must reach, and the size for which that holds. The size of a text says whether it is large. */
export function PairSettings({ pair }: { pair: Pair }) {
  const { edit } = useEditing();
  const document = useProjectDocument();
  const sample = sampleOf(document, pair);
  const set = (change: PairChange) => edit({ type: 'setPair', pair: pair.id, change });
  const { level, content } = pair.target;
  /** The target goes with the size, by WCAG's own rule. */
  const resize = (change: { readonly size?: number; readonly weight?: number }) => {
    const { size, weight } = { ...pair, ...change };
    const fits = isLargeText(size, weight) ? 'large' : 'body';
    set(
      content === 'graphics' || content === fits ? change : { ...change, target: { level, content: fits } },
    );
  };
  const real = effectiveTarget(pair.target, pair.size, pair.weight);
  return (
    <>
      <Choice
        label="Content"
        help="large"
        value={content}
        options={CONTENT_OPTIONS}
        onChange={(next) => set({ target: { level, content: next }, size: USUAL_SIZE[next] })}
      />
      <Choice
        label="Level"
        help="levels"
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
          onCommit={(size) => resize({ size })}
        />
        <NumberField
          label="Weight"
          value={pair.weight}
          min={100}
          max={900}
          onCommit={(weight) => resize({ weight })}
        />
      </div>
      <TextField
        label="Words"
        value={sample}
        onCommit={(words) => {
          if (words.length > MOST_WORDS) return `At most ${MOST_WORDS} characters`;
          const usual = sampleOf(document, { background: pair.background });
          set({ words: words && words !== usual ? words : null });
          return null;
        }}
      />
      <UnderTextSettings pair={pair} />
      <ExemptSettings pair={pair} />
      <p role="status" className="col-span-full text-sm text-quiet">
        {content === 'graphics'
          ? `Graphics and controls need ${requiredRatio(real)}.`
          : `At ${pair.size} px and weight ${pair.weight} this is ${CONTENT_NAMES[real.content]}: it needs ${requiredRatio(real)}. Large is 24 px, or 18.66 px from weight 700 on.`}
      </p>
    </>
  );
}
