import { READERS } from '../../seeing/readers.ts';
import type { Reader } from '../../store/interface-slice.ts';
import { useDocumentPart } from '../../store/selectors.ts';
import { Choice } from '../../ui/choice.tsx';
import { SwitchGroup } from '../../ui/switch-group.tsx';
import { useStageView } from './use-stage-view.ts';

const THEMES = [
  { value: 'all', label: 'All themes' },
  { value: 'one', label: 'This one' },
] as const;

/** How many themes scenes are seen in, and by whom. */
export function StageTools() {
  const themes = useDocumentPart('themes');
  const [view, change] = useStageView();
  return (
    <>
      {themes.length > 1 && (
        <SwitchGroup
          label="Themes that are seen"
          value={view.themes}
          options={THEMES}
          onChange={(seen) => change({ themes: seen as 'all' | 'one' })}
        />
      )}
      <Choice
        label="Scenes seen by"
        hideLabel
        className="w-44"
        value={view.reader ?? 'everyone'}
        options={[
          { value: 'everyone', label: 'Seen as they are' },
          ...READERS.map(({ id, name }) => ({ value: id, label: `Seen: ${name}` })),
        ]}
        onChange={(reader) => change({ reader: reader === 'everyone' ? null : (reader as Reader) })}
      />
    </>
  );
}

/** The filter that scenes are seen through. */
export function useSeenThrough(): string | undefined {
  const [{ reader }] = useStageView();
  return READERS.find(({ id }) => id === reader)?.filter;
}
