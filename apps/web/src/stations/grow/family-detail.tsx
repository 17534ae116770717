import type { Growth } from '@mint-lamp/core/family/growth';
import { USUAL_GROWTH } from '@mint-lamp/core/family/growth';
import type { ResolvedFamily } from '@mint-lamp/core/system/resolve';
import clsx from 'clsx';
import { memo } from 'react';
import { Link, useNavigate } from 'react-router';
import { addressOf } from '../../addresses.ts';
import { useEditing } from '../../store/editing.ts';
import { selectProject } from '../../store/selectors.ts';
import { useAppSelector } from '../../store/store.ts';
import { Button } from '../../ui/button.tsx';
import { CopyButton } from '../../ui/copy-button.tsx';
import { NumberField } from '../../ui/number-field.tsx';
import { TextField } from '../../ui/text-field.tsx';
import { Track } from '../../ui/track.tsx';

/** The open family: its shades side by side, its name, and the recipe that it grows by. */
export function FamilyDetail({ resolved }: { resolved: ResolvedFamily }) {
  const { family, shades } = resolved;
  const id = useAppSelector((state) => selectProject(state).id);
  const { edit } = useEditing();
  const navigate = useNavigate();
  return (
    <section
      aria-label={family.name}
      className="mt-3 grid grid-cols-[1fr_300px] gap-5 border-t border-hair bg-raised px-5 py-4"
    >
      <div className="min-w-0">
        <div className="mb-3 flex items-end gap-3">
          <TextField
            label="Family"
            value={family.name}
            onCommit={(name) =>
              edit({ type: 'renameFamily', family: family.id, name }) ? null : 'Choose another name'
            }
            className="w-56"
          />
          <Button
            look="danger"
            onClick={() => {
              if (edit({ type: 'removeFamily', family: family.id })) navigate(addressOf(id, 'grow'));
            }}
          >
            Remove
          </Button>
        </div>
        <ol className="flex">
          {[...shades].reverse().map((shade) => (
            <li key={shade.label} className="min-w-0 flex-1">
              <Link
                to={addressOf(id, 'grow', family.id, shade.label)}
                aria-label={`${family.name} ${shade.label}`}
                className="block h-16 -outline-offset-4"
                style={{ background: shade.css }}
              />
              <p className={clsx('pt-1 text-center text-sm', shade.isBase && 'font-semibold')}>
                {shade.label}
              </p>
              <div className="flex justify-center">
                <CopyButton text={shade.css} bare className="justify-center px-0.5! text-[11px]!" />
              </div>
              <p className="h-4 text-center text-xs text-quiet">
                {shade.isBase ? 'base' : shade.handSet ? 'hand-set' : ''}
              </p>
            </li>
          ))}
        </ol>
      </div>
      <GrowthRecipe family={family.id} growth={family.growth} />
    </section>
  );
}

const SETTINGS = [
  { key: 'lightest', name: 'Lightest end', min: 50, max: 100, scale: 100, unit: '%', decimals: 1 },
  { key: 'darkest', name: 'Darkest end', min: 0, max: 50, scale: 100, unit: '%', decimals: 1 },
  { key: 'curve', name: 'Curve', min: -100, max: 100, scale: 100, unit: '', decimals: 0 },
  { key: 'endChroma', name: 'End chroma', min: 0, max: 150, scale: 100, unit: '%', decimals: 0 },
  { key: 'hueDrift', name: 'Hue drift', min: -60, max: 60, scale: 1, unit: '°', decimals: 0 },
] as const;

const GrowthRecipe = memo(function GrowthRecipe({ family, growth }: { family: string; growth: Growth }) {
  const { edit, preview } = useEditing();
  const command = (key: (typeof SETTINGS)[number]['key'], value: number) =>
    ({ type: 'setGrowth', family, growth: { ...growth, [key]: value } }) as const;
  const usual = SETTINGS.every(({ key }) => growth[key] === USUAL_GROWTH[key]);
  return (
    <section aria-label="Growth" className="flex flex-col gap-1">
      <div className="flex items-center justify-between">
        <h2 className="font-title font-semibold">Growth</h2>
        <Button
          small
          look="quiet"
          disabled={usual}
          onClick={() =>
            edit({ type: 'setGrowth', family, growth: { ...USUAL_GROWTH, labels: growth.labels } })
          }
        >
          As usual
        </Button>
      </div>
      {SETTINGS.map(({ key, name, min, max, scale, unit, decimals }) => (
        <div key={key} className="grid grid-cols-[92px_1fr_60px] items-center gap-x-2">
          <span className="text-sm leading-tight text-quiet">
            {name}
            {unit && ` (${unit})`}
          </span>
          <Track
            label={name}
            value={growth[key] * scale}
            min={min}
            max={max}
            step={decimals ? 0.5 : 1}
            background="var(--surface-sunken)"
            valueText={`${(growth[key] * scale).toFixed(decimals)}${unit}`}
            onPreview={(v) => preview(command(key, v / scale))}
            onCommit={(v) => edit(command(key, v / scale))}
          />
          <NumberField
            label={name}
            hideLabel
            value={growth[key] * scale}
            min={min}
            max={max}
            decimals={decimals}
            onCommit={(v) => edit(command(key, v / scale))}
          />
        </div>
      ))}
    </section>
  );
});
