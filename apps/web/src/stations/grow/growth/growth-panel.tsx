import { parseColor } from '@mint-lamp/core/color/parse';
import { canonical } from '@mint-lamp/core/color/write';
import type { Rgba } from '@mint-lamp/core/contrast/ratio';
import type { Growth } from '@mint-lamp/core/family/grow';
import type { ContrastRecipe, OpacityRecipe } from '@mint-lamp/core/family/recipes';
import { paint } from '@mint-lamp/core/system/resolve/painted';
import { memo } from 'react';
import { useEditing } from '../../../store/editing.ts';
import { Button } from '../../../ui/button.tsx';
import { Choice } from '../../../ui/choice.tsx';
import { TextField } from '../../../ui/text-field.tsx';
import { evenRatios, GROWTH_KINDS, growthOfKind, kindOf } from './growth-kinds.ts';
import { Setting } from './setting.tsx';

interface GrowthPanelProps {
  family: string;
  growth: Growth;
  /** What the marks stand against: the first ground of a growth that needs one. */
  ground: Rgba;
}

/** How the open family grows: the kind, its settings and the labels of its shades. */
export const GrowthPanel = memo(function GrowthPanel({ family, growth, ground }: GrowthPanelProps) {
  const { edit, preview } = useEditing();
  const command = (next: Growth) => ({ type: 'setGrowth', family, growth: next }) as const;
  const onPreview = (next: Growth) => preview(command(next));
  const onCommit = (next: Growth) => edit(command(next));
  const kind = kindOf(growth);
  const usual = growthOfKind(kind, growth, ground);
  return (
    <section aria-label="Growth" className="flex flex-col gap-1">
      <div className="flex items-end justify-between gap-2">
        <Choice
          label="Grows by"
          value={kind}
          options={GROWTH_KINDS}
          onChange={(next) => onCommit(growthOfKind(next, growth, ground))}
          className="min-w-0 flex-1"
        />
        <Button
          look="quiet"
          disabled={JSON.stringify(usual) === JSON.stringify(growth)}
          onClick={() => onCommit(usual)}
          title={growth.kind === 'lightness' ? undefined : 'The usual settings, on the ground of the marks'}
        >
          As usual
        </Button>
      </div>
      {growth.kind === 'lightness' &&
        LIGHTNESS.map(({ key, ...range }) => (
          <Setting
            key={key}
            {...range}
            value={growth[key]}
            onPreview={(v) => onPreview({ ...growth, [key]: v })}
            onCommit={(v) => onCommit({ ...growth, [key]: v })}
          />
        ))}
      {growth.kind === 'mix' && (
        <Setting
          {...REACH}
          value={growth.reach}
          onPreview={(reach) => onPreview({ ...growth, reach })}
          onCommit={(reach) => onCommit({ ...growth, reach })}
        />
      )}
      {growth.kind === 'opacity' && (
        <>
          <GroundField growth={growth} onCommit={onCommit} />
          <Setting
            {...LEAST}
            value={growth.least}
            onPreview={(least) => onPreview({ ...growth, least })}
            onCommit={(least) => onCommit({ ...growth, least })}
          />
        </>
      )}
      {growth.kind === 'contrast' && (
        <>
          <GroundField growth={growth} onCommit={onCommit} />
          <TextField
            label={`Ratios, one for each of ${growth.labels.length} shades`}
            value={growth.ratios.join(' ')}
            mono
            onCommit={(text) => {
              const ratios = wordsOf(text).map((word) => Number(word.replace(',', '.')));
              const fault = faultOfRatios(ratios, growth.labels.length);
              if (!fault) onCommit({ ...growth, ratios });
              return fault;
            }}
          />
        </>
      )}
      <TextField
        label={`Labels of the ${growth.labels.length} shades, light to dark`}
        value={growth.labels.join(' ')}
        mono
        onCommit={(text) => {
          const labels = wordsOf(text);
          const fault = faultOfLabels(labels);
          if (!fault) onCommit(relabelled(growth, labels));
          return fault;
        }}
      />
    </section>
  );
});

const LIGHTNESS = [
  { key: 'lightest', name: 'Lightest end', min: 50, max: 100, scale: 100, unit: '%', decimals: 1 },
  { key: 'darkest', name: 'Darkest end', min: 0, max: 50, scale: 100, unit: '%', decimals: 1 },
  { key: 'curve', name: 'Curve', min: -100, max: 100, scale: 100, unit: '', decimals: 0 },
  { key: 'endChroma', name: 'End chroma', min: 0, max: 150, scale: 100, unit: '%', decimals: 0 },
  { key: 'hueDrift', name: 'Hue drift', min: -60, max: 60, scale: 1, unit: '°', decimals: 0 },
] as const;
const REACH = { name: 'Mixed in at most', min: 0, max: 100, scale: 100, unit: '%', decimals: 0 } as const;
const LEAST = { name: 'Least opacity', min: 0, max: 100, scale: 100, unit: '%', decimals: 0 } as const;

const wordsOf = (text: string) => text.split(/[\s;]+/).filter(Boolean);

function faultOfRatios(ratios: readonly number[], wanted: number): string | null {
  if (ratios.some((ratio) => !(ratio >= 1 && ratio <= 21)))
    return 'Ratios are numbers from 1 to 21, such as 4.5';
  if (ratios.length !== wanted) return `${wanted} ratios are needed, these are ${ratios.length}`;
  return ratios.some((ratio, i) => i > 0 && ratio <= ratios[i - 1]!)
    ? 'Each ratio has to be above the one before'
    : null;
}

function faultOfLabels(labels: readonly string[]): string | null {
  if (labels.length < 3 || labels.length > 24)
    return `A family has 3 to 24 shades, these are ${labels.length}; put a space between labels`;
  const twice = labels.find((label, i) => labels.indexOf(label) !== i);
  if (twice) return `Every label is needed once; ${twice} is there twice`;
  const long = labels.find((label) => label.length > 24);
  return long ? `A label has at most 24 characters; ${long} has ${long.length}` : null;
}

/** The same growth with other labels; ratios are spread anew when there are more or fewer of them. */
function relabelled(growth: Growth, labels: string[]): Growth {
  if (growth.kind !== 'contrast' || growth.labels.length === labels.length) return { ...growth, labels };
  return { ...growth, labels, ratios: evenRatios(labels.length, paint(growth.ground)) };
}

interface GroundFieldProps<T> {
  growth: T;
  onCommit: (growth: T) => void;
}

function GroundField<T extends OpacityRecipe | ContrastRecipe>({ growth, onCommit }: GroundFieldProps<T>) {
  return (
    <div className="flex items-end gap-2">
      <span
        aria-hidden
        className="mb-0 size-8 shrink-0 rounded-md border border-control"
        style={{ background: growth.ground }}
      />
      <TextField
        label="Ground"
        value={growth.ground}
        mono
        className="flex-1"
        onCommit={(text) => {
          const parsed = parseColor(text);
          if (!parsed.ok) return parsed.reason;
          if ((parsed.color.alpha ?? 0) < 1) return 'A ground is opaque; leave the alpha out';
          onCommit({ ...growth, ground: canonical(parsed.color) });
          return null;
        }}
      />
    </div>
  );
}
