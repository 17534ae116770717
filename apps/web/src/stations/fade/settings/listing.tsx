import type { Gradient } from '@mint-lamp/core/document/gradients/gradient';
import { movedBeside, neighbourOf } from '@mint-lamp/core/edits/gradients/gradient-sections';
import { ArrowLeft, ArrowRight, Bookmark } from 'lucide-react';
import { memo, useId } from 'react';
import { useEditing } from '../../../store/editing.ts';
import { selectProject } from '../../../store/selectors.ts';
import { useAppSelector } from '../../../store/store.ts';
import { Button } from '../../../ui/button.tsx';
import { IconButton } from '../../../ui/icon-button.tsx';
import { TextField } from '../../../ui/text-field.tsx';

/** Where a gradient is listed: its name, its group, among the favourites, before and after which others. */
export const Listing = memo(function Listing({ gradient }: { gradient: Gradient }) {
  // As they are without what is shown for a look.
  const gradients = useAppSelector((state) => selectProject(state).document.gradients);
  const { edit, tryEdit } = useEditing();
  const listId = useId();
  const groups = [...new Set(gradients.flatMap(({ group }) => group ?? []))];
  const change = (part: { readonly group?: string | null; readonly favourite?: true | null }) =>
    ({ type: 'setGradient', gradient: gradient.id, change: part }) as const;
  const step = (way: -1 | 1) => {
    const other = neighbourOf(gradients, gradient.id, way);
    const commands = other ? movedBeside(gradients, gradient.id, other.id) : [];
    return commands.length ? () => edit({ type: 'batch', label: `move ${gradient.name}`, commands }) : null;
  };
  const [earlier, later] = [step(-1), step(1)];
  return (
    <section aria-label="In the list" className="flex flex-col gap-2">
      <TextField
        label="Gradient"
        value={gradient.name}
        onCommit={(name) => tryEdit({ type: 'renameGradient', gradient: gradient.id, name })}
      />
      <TextField
        label="In the group"
        value={gradient.group ?? ''}
        list={listId}
        onCommit={(group) => tryEdit(change({ group: group || null }))}
      />
      <datalist id={listId}>
        {groups.map((group) => (
          <option key={group} value={group} />
        ))}
      </datalist>
      <div className="flex items-center gap-1.5">
        <Button
          small
          aria-pressed={gradient.favourite === true}
          onClick={() => edit(change({ favourite: gradient.favourite ? null : true }))}
        >
          <Bookmark aria-hidden className="size-3.5" fill={gradient.favourite ? 'currentColor' : 'none'} />
          {gradient.favourite ? 'A favourite' : 'Make it a favourite'}
        </Button>
        <span className="ml-auto flex">
          <IconButton label="Move up the list" disabled={!earlier} onClick={() => earlier?.()}>
            <ArrowLeft aria-hidden className="size-4" />
          </IconButton>
          <IconButton label="Move down the list" disabled={!later} onClick={() => later?.()}>
            <ArrowRight aria-hidden className="size-4" />
          </IconButton>
        </span>
      </div>
    </section>
  );
});
