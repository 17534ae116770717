import { hasOwn, type RelationRow } from '@mint-lamp/core/document/relatives/relatives';
import { ADJUSTABLE } from '@mint-lamp/core/harmony/relations';
import clsx from 'clsx';
import { memo } from 'react';
import { useEditing } from '../../../store/editing.ts';
import { HelpMark } from '../../../ui/help-mark.tsx';
import { NumberField } from '../../../ui/number-field.tsx';
import { Track } from '../../../ui/track.tsx';
import { RELATION_NAMES } from './relation-names.ts';

/** What a relation is called, what of it can be adjusted, and which version is shown. */
export const RelationHead = memo(function RelationHead({ row }: { row: RelationRow }) {
  const { edit, preview } = useEditing();
  const name = RELATION_NAMES[row.relation];
  const command = (part: Partial<RelationRow>) =>
    ({ type: 'setRelation', relation: row.relation, row: { ...row, ...part } }) as const;
  const set = (part: Partial<RelationRow>) => edit(command(part));
  return (
    <div
      className="mb-1.5 flex h-8 items-center gap-2"
      data-help={row.relation === 'complementary' ? 'complementary' : 'peg'}
    >
      <h2 className="truncate font-semibold">{name}</h2>
      <span className="flex-1">
        {row.relation === 'complementary' && <HelpMark of="complementary" about={name} />}
      </span>
      <Adjustments row={row} onShow={(part) => preview(part && command(part))} onSet={set} />
      {hasOwn(row) && <Versions row={row} onShow={(showsOwn) => set({ showsOwn })} name={name} />}
    </div>
  );
});

interface AdjustmentsProps {
  row: RelationRow;
  /** Null shows it as it was. */
  onShow: (part: Partial<RelationRow> | null) => void;
  onSet: (part: Partial<RelationRow>) => void;
}

/** How many members there are and how far apart, moved live or typed. */
function Adjustments({ row, onShow, onSet }: AdjustmentsProps) {
  const { count, angle } = ADJUSTABLE[row.relation];
  const each = row.relation === 'facing';
  const adjustments = [
    ...(count
      ? [
          {
            key: 'count' as const,
            range: count,
            label: each ? 'Colours in each group' : 'Colours',
            unit: '',
            decimals: 0,
          },
        ]
      : []),
    ...(angle ? [{ key: 'angle' as const, range: angle, label: 'Angle', unit: '°', decimals: 1 }] : []),
  ];
  return adjustments.map(({ key, range, label, unit, decimals }) => (
    <div key={key} className="flex items-center gap-1">
      <div className="w-16">
        <Track
          label={`${label}, by a slider`}
          value={row[key]}
          min={range.least}
          max={range.most}
          step={1}
          background="var(--surface-sunken)"
          valueText={`${row[key]}${unit}`}
          onPreview={(value) => onShow({ [key]: value })}
          onCommit={(value) => onSet({ [key]: value })}
          onGiveBack={() => onShow(null)}
        />
      </div>
      <NumberField
        label={label}
        hideLabel
        value={row[key]}
        min={range.least}
        max={range.most}
        decimals={decimals}
        unit={unit}
        className={unit ? 'w-16' : 'w-12'}
        onCommit={(value) => onSet({ [key]: decimals ? value : Math.round(value) })}
      />
    </div>
  ));
}

/** The exact version and the designer's own; both are kept. */
function Versions({ row, name, onShow }: { row: RelationRow; name: string; onShow: (own: boolean) => void }) {
  return (
    <fieldset
      aria-label={`Version of ${name}`}
      className="flex overflow-hidden rounded-md border border-control"
    >
      {[false, true].map((own) => (
        <button
          key={String(own)}
          type="button"
          aria-pressed={row.showsOwn === own}
          onClick={() => onShow(own)}
          className={clsx(
            'h-7 px-2 text-sm -outline-offset-2',
            row.showsOwn === own ? 'bg-main text-inverse' : 'bg-raised hover:bg-sunken',
          )}
        >
          {own ? 'Own' : 'Exact'}
        </button>
      ))}
    </fieldset>
  );
}
