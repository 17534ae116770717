import type { Rgba } from '@mint-lamp/core/contrast/ratio';
import type { Command } from '@mint-lamp/core/document/commands/command';
import type { FamilyGrowth } from '@mint-lamp/core/document/links/growth-ground';
import { grownOf } from '@mint-lamp/core/edits/families/family-edits';
import { usesOfFamily } from '@mint-lamp/core/edits/links/relink';
import { drawnFrom } from '@mint-lamp/core/family/drawn';
import { paint } from '@mint-lamp/core/system/painted';
import { memo } from 'react';
import { useStore } from 'react-redux';
import { useEditing } from '../../../store/editing.ts';
import { selectSystem } from '../../../store/selectors.ts';
import type { AppStore } from '../../../store/store.ts';
import { Button } from '../../../ui/button.tsx';
import { Choice } from '../../../ui/choice.tsx';
import { TextField } from '../../../ui/text-field.tsx';
import { GroundField } from './ground-field.tsx';
import { GROWTH_KINDS, growthOfKind, kindOf, relabelled, withCount } from './growth-kinds.ts';
import { Setting } from './setting.tsx';

interface GrowthPanelProps {
  family: string;
  growth: FamilyGrowth;
  /** What the marks stand against: the first ground of a growth that needs one. */
  ground: Rgba;
  /** What the ground of the growth comes to. */
  grownOn: string | null;
}

/** How the open family grows: the kind, its settings, how many shades there are and what they are called. */
export const GrowthPanel = memo(function GrowthPanel({ family, growth, ground, grownOn }: GrowthPanelProps) {
  const { edit, tryEdit, preview } = useEditing();
  const store = useStore() as AppStore;
  const command = (next: FamilyGrowth) => ({ type: 'setGrowth', family, growth: next }) as const;
  const onPreview = (next: FamilyGrowth) => preview(command(next));
  const onCommit = (next: FamilyGrowth) => edit(command(next));
  const kind = kindOf(growth);
  const start = {
    ground,
    drawn: () => drawnFrom(grownOf(selectSystem(store.getState()).families.get(family)!)),
  };
  const usual = kind === 'drawn' ? growth : growthOfKind(kind, growth, start);
  const own = grownOn ? paint(grownOn) : ground;
  const setCount = (text: string): string | null => {
    const count = Number(text);
    if (!Number.isInteger(count) || count < 3 || count > 24) return 'A number from 3 to 24';
    const { document, families } = selectSystem(store.getState());
    const { roles, stops, grounds } = usesOfFamily(document, family);
    const links = [...roles, ...stops, ...grounds].map(({ link }) => link);
    const held = new Set(links.flatMap((link) => (link.to === 'shade' ? [link.shade] : [])));
    held.add(families.get(family)!.base.label);
    const next = withCount(growth, count, held, own);
    if (!next) return 'More shades than that are in use. Remove some below first.';
    return tryEdit(command(next));
  };
  return (
    <section aria-label="Growth" data-help="growth" className="flex flex-col gap-1">
      <div className="flex items-end justify-between gap-2">
        <Choice
          label="Grows by"
          help="growth"
          value={kind}
          options={GROWTH_KINDS}
          onChange={(next) => onCommit(growthOfKind(next, growth, start))}
          className="min-w-0 flex-1"
        />
        <Button
          look="quiet"
          disabled={JSON.stringify(usual) === JSON.stringify(growth)}
          onClick={() => onCommit(usual)}
          title={
            growth.kind === 'lightness' ? undefined : 'Back to the default settings, on the marks’ ground'
          }
        >
          Reset
        </Button>
      </div>
      <KindSettings
        {...{ family, growth, grownOn, command, onPreview, onCommit, tryEdit }}
        onGiveBack={() => preview(null)}
      />
      <div className="flex items-end gap-2">
        <TextField
          label="Shades"
          value={String(growth.labels.length)}
          mono
          onCommit={setCount}
          className="w-16"
        />
        <TextField
          label="Labels, light to dark"
          value={growth.labels.join(' ')}
          mono
          className="flex-1"
          onCommit={(text) => {
            const labels = wordsOf(text.replaceAll(',', ' '));
            const fault = faultOfLabels(labels, growth.kind === 'drawn' ? growth.labels.length : null);
            if (!fault) onCommit(relabelled(growth, labels, own));
            return fault;
          }}
        />
      </div>
      <Button
        small
        look="quiet"
        className="self-end"
        title="The first label becomes the last: what points to a label finds the shade at the other end"
        onClick={() => onCommit({ ...growth, labels: [...growth.labels].reverse() })}
      >
        Reverse the labels
      </Button>
    </section>
  );
});

interface KindSettingsProps {
  family: string;
  growth: FamilyGrowth;
  grownOn: string | null;
  command: (next: FamilyGrowth) => Command;
  onPreview: (next: FamilyGrowth) => void;
  onGiveBack: () => void;
  onCommit: (next: FamilyGrowth) => void;
  tryEdit: (command: Command) => string | null;
}

/** What a growth has to be set besides its shades: each kind something else. */
function KindSettings(props: KindSettingsProps) {
  const { family, growth, grownOn, command, onPreview, onGiveBack, onCommit, tryEdit } = props;
  return (
    <>
      {growth.kind === 'lightness' &&
        LIGHTNESS.map(({ key, ...range }) => (
          <Setting
            key={key}
            {...range}
            value={growth[key]}
            onPreview={(v) => onPreview({ ...growth, [key]: v })}
            onCommit={(v) => onCommit({ ...growth, [key]: v })}
            onGiveBack={onGiveBack}
          />
        ))}
      {growth.kind === 'mix' && (
        <Setting
          {...REACH}
          value={growth.reach}
          onPreview={(reach) => onPreview({ ...growth, reach })}
          onCommit={(reach) => onCommit({ ...growth, reach })}
          onGiveBack={onGiveBack}
        />
      )}
      {(growth.kind === 'opacity' || growth.kind === 'contrast') && (
        <GroundField
          family={family}
          ground={growth.ground}
          color={grownOn ?? '#ffffff'}
          onPick={(next) => tryEdit(command({ ...growth, ground: next }))}
        />
      )}
      {growth.kind === 'opacity' && (
        <Setting
          {...LEAST}
          value={growth.least}
          onPreview={(least) => onPreview({ ...growth, least })}
          onCommit={(least) => onCommit({ ...growth, least })}
          onGiveBack={onGiveBack}
        />
      )}
      {growth.kind === 'contrast' && (
        <TextField
          label={`Ratios, one for each of ${growth.labels.length} shades`}
          value={growth.ratios.join(' ')}
          mono
          onCommit={(text) => {
            const ratios = wordsOf(text).map((word) => Number(word.replace(/,$/, '').replace(',', '.')));
            const fault = faultOfRatios(ratios, growth.labels.length);
            if (!fault) onCommit({ ...growth, ratios });
            return fault;
          }}
        />
      )}
      {growth.kind === 'drawn' && (
        <p className="text-sm text-quiet">
          Every step has its own place: drag the points of the curves, or move them with the arrow keys.
        </p>
      )}
    </>
  );
}

const LIGHTNESS = [
  { key: 'lightest', name: 'Lightest end', min: 50, max: 100, scale: 100, unit: '%', decimals: 1 },
  { key: 'darkest', name: 'Darkest end', min: 0, max: 50, scale: 100, unit: '%', decimals: 1 },
  { key: 'curve', name: 'Curve', min: -100, max: 100, scale: 100, unit: '', decimals: 0 },
  { key: 'endChroma', name: 'End chroma', min: 0, max: 150, scale: 100, unit: '%', decimals: 0 },
  { key: 'hueDrift', name: 'Hue drift', min: -60, max: 60, scale: 1, unit: '°', decimals: 0 },
] as const;
const REACH = { name: 'Strongest mix', min: 0, max: 100, scale: 100, unit: '%', decimals: 0 } as const;
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

/** What is wrong with labels; a drawn growth needs as many as it has steps. */
function faultOfLabels(labels: readonly string[], wanted: number | null): string | null {
  if (labels.length < 3 || labels.length > 24)
    return `A family has 3 to 24 shades, these are ${labels.length}; put a space between labels`;
  if (wanted !== null && labels.length !== wanted)
    return `${wanted} labels are needed, these are ${labels.length}; shades come and go below the tiles`;
  const twice = labels.find((label, i) => labels.indexOf(label) !== i);
  if (twice) return `Every label is needed once; ${twice} is there twice`;
  const long = labels.find((label) => label.length > 24);
  return long ? `A label has at most 24 characters; ${long} has ${long.length}` : null;
}
