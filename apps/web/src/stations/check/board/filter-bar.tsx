import { CONTENT_NAMES, type Content, type Level } from '@mint-lamp/core/contrast/targets';
import { memo } from 'react';
import { useDocumentPart } from '../../../store/selectors.ts';
import { Button } from '../../../ui/button.tsx';
import { Choice } from '../../../ui/choice.tsx';
import { type BoardFilter, EVERYTHING, outerGroups } from './board-filter.ts';
import { WordsSettings } from './words-settings.tsx';

interface FilterBarProps {
  filter: BoardFilter;
  /** Pairs that are shown, of how many. */
  shown: number;
  all: number;
  onChange: (filter: BoardFilter) => void;
}

const ALL = '';
const CONTENTS = [
  { value: ALL, label: 'any content' },
  ...(Object.keys(CONTENT_NAMES) as Content[]).map((value) => ({ value, label: CONTENT_NAMES[value] })),
];
const LEVELS = [
  { value: ALL, label: 'AA and AAA' },
  { value: 'AA', label: 'AA' },
  { value: 'AAA', label: 'AAA' },
];

/** Which pairs the board shows, and in which order. */
export const FilterBar = memo(function FilterBar({ filter, shown, all, onChange }: FilterBarProps) {
  const themes = useDocumentPart('themes');
  const roles = useDocumentPart('roles');
  const set = (change: Partial<BoardFilter>) => onChange({ ...filter, ...change });
  const groups = outerGroups(roles).map((group) => ({
    value: `group ${group}`,
    label: group || 'in no group',
  }));
  const isWhole = Object.keys(EVERYTHING).every(
    (key) => key === 'byGround' || filter[key as keyof BoardFilter] === EVERYTHING[key as keyof BoardFilter],
  );
  return (
    <fieldset
      aria-label="Which pairs"
      data-help="filters"
      className="flex flex-wrap items-center gap-x-2 gap-y-1 px-5 pb-2"
    >
      <label className="mr-1 flex h-8 items-center gap-1.5">
        <input
          type="checkbox"
          checked={filter.failing}
          onChange={({ target }) => set({ failing: target.checked })}
        />
        failing
      </label>
      <Choice
        label="Theme"
        hideLabel
        value={filter.theme ?? ALL}
        options={[
          { value: ALL, label: 'every theme' },
          ...themes.map(({ id, name }) => ({ value: id, label: name })),
        ]}
        onChange={(theme) => set({ theme: theme || null })}
        className="w-36"
      />
      <Choice
        label="Group"
        hideLabel
        value={filter.group === null ? ALL : `group ${filter.group}`}
        options={[{ value: ALL, label: 'every group' }, ...groups]}
        onChange={(group) => set({ group: group ? group.slice(6) : null })}
        className="w-32"
      />
      <Choice
        label="Content"
        hideLabel
        value={filter.content ?? ALL}
        options={CONTENTS}
        onChange={(content) => set({ content: (content || null) as Content | null })}
        className="w-40"
      />
      <Choice
        label="Level"
        hideLabel
        value={filter.level ?? ALL}
        options={LEVELS}
        onChange={(level) => set({ level: (level || null) as Level | null })}
        className="w-36"
      />
      <Choice
        label="Order"
        hideLabel
        value={filter.byGround ? 'ground' : 'worst'}
        options={[
          { value: 'worst', label: 'worst first' },
          { value: 'ground', label: 'by ground' },
        ]}
        onChange={(order) => set({ byGround: order === 'ground' })}
        className="w-32"
      />
      <span className="ml-auto">
        <WordsSettings />
      </span>
      {!isWhole && (
        <>
          <span role="status" className="text-sm text-quiet">
            {shown} of {all} pairs
          </span>
          <Button small look="quiet" onClick={() => onChange({ ...EVERYTHING, byGround: filter.byGround })}>
            Show all
          </Button>
        </>
      )}
    </fieldset>
  );
});
