import { type Gradient, percents, stopsOf } from '@mint-lamp/core/document/gradients/gradient';
import { withEnd, withMiddle } from '@mint-lamp/core/edits/gradients/stop-places';
import { memo, type ReactElement, useState } from 'react';
import { useStore } from 'react-redux';
import { useEditing } from '../../../store/editing.ts';
import { selectDocument } from '../../../store/selectors.ts';
import type { AppStore } from '../../../store/store.ts';
import { ContextMenu, type MenuItem } from '../../../ui/context-menu.tsx';

/** Percent of a stretch that is flat at first, and how far along a change its middle is put. */
const FLAT = 10;
const EARLY = 0.35;

/** The menu of a post: what is done with the stop under the pointer, or the one that has the focus. */
export const PostMenu = memo(function PostMenu({
  gradient: id,
  children,
}: {
  gradient: string;
  children: ReactElement;
}) {
  const store = useStore() as AppStore;
  const { edit } = useEditing();
  const [stop, setStop] = useState<string | null>(null);
  const gradient = selectDocument(store.getState()).gradients.find((one) => one.id === id);
  return (
    <div
      className="contents"
      onContextMenuCapture={(event) => {
        const post = (event.target as HTMLElement).closest<HTMLElement>('[data-post]');
        // Beside the posts the browser's own menu opens.
        if (!post) event.stopPropagation();
        setStop(post?.dataset.post ?? null);
      }}
    >
      <ContextMenu
        label="What to do with the stop"
        items={gradient && stop ? itemsOf(gradient, stop, edit) : []}
      >
        {children}
      </ContextMenu>
    </div>
  );
});

function itemsOf(gradient: Gradient, id: string, edit: ReturnType<typeof useEditing>['edit']): MenuItem[] {
  const stops = stopsOf(gradient);
  const at = stops.findIndex((stop) => stop.id === id);
  const stop = stops[at];
  if (!stop) return [];
  const own = percents(stop);
  const next = stops[at + 1] && percents(stops[at + 1]!);
  const flat = own && withEnd(gradient, id, stop.places.length > 1 ? null : own[0] + FLAT);
  return [
    {
      label: `Remove Stop ${at + 1}`,
      reason: stops.length <= 2 ? 'A gradient needs at least two stops' : null,
      onSelect: () => edit({ type: 'removeStop', gradient: gradient.id, stop: id }),
    },
    {
      label: stop.places.length > 1 ? 'Back to one position' : 'Make a flat stretch',
      reason: own ? null : 'Its position is in px',
      onSelect: () => flat && edit({ type: 'moveStop', gradient: gradient.id, stop: id, places: flat }),
    },
    {
      label: 'Move the middle to the next',
      reason: own && next && next[0] > own[1] ? null : 'There is no change after it',
      onSelect: () => {
        if (!own || !next) return;
        const place = own[1] + (next[0] - own[1]) * EARLY;
        edit({ type: 'setStops', gradient: gradient.id, stops: withMiddle(gradient, id, place) });
      },
    },
  ];
}
