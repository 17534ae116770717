import { rectSortingStrategy, SortableContext, useSortable } from '@dnd-kit/sortable';
import { CSS } from '@dnd-kit/utilities';
import { gradientSections, movedBeside } from '@mint-lamp/core/edits/gradients/gradient-sections';
import { gradientCss } from '@mint-lamp/core/system/gradients/gradient-css';
import clsx from 'clsx';
import { memo, useCallback, useEffect, useMemo, useRef } from 'react';
import { useStore } from 'react-redux';
import { Link } from 'react-router';
import { addressOf } from '../../addresses.ts';
import { type MovableThing, pressesOf } from '../../dragging/color-dragging.tsx';
import { SORT_MOTION } from '../../dragging/sort-motion.ts';
import { useEditing } from '../../store/editing.ts';
import { selectDocument, selectProject, useProjectId, useTheme } from '../../store/selectors.ts';
import { type AppStore, useAppSelector } from '../../store/store.ts';
import { useSeenAcross } from '../../ui/use-seen-across.ts';

const SECTION_NAMES = { favourites: 'Favourites', own: '', group: '' } as const;

/** All gradients of the project, painted in the present theme: favourites first, then on their own, then by group. */
export function GradientList({ open }: { open: string | null }) {
  const id = useProjectId();
  // While a stop is dragged only its own tile is drawn anew.
  const gradients = useAppSelector((state) => selectProject(state).document.gradients);
  const store = useStore() as AppStore;
  const { edit } = useEditing();
  const sections = useMemo(() => gradientSections(gradients), [gradients]);
  const order = useMemo(
    () => sections.flatMap((section) => section.gradients.map((one) => one.id)),
    [sections],
  );
  // The same list while it says the same: another one would have every tile drawn anew.
  const items = useMemo(() => order.map(tileId), [order]);
  const latest = useRef(order);
  latest.current = order;
  const move = useCallback(
    (gradient: string, to: number) => {
      const other = latest.current[to];
      const commands = other ? movedBeside(selectDocument(store.getState()).gradients, gradient, other) : [];
      if (commands.length) edit({ type: 'batch', label: 'put a gradient elsewhere', commands });
    },
    [store, edit],
  );
  const { row, seen } = useSeenAcross<HTMLDivElement>(order);
  const isSeen = (index: number) => index >= seen.first && index <= seen.last;
  let next = 0;
  return (
    <nav aria-label="Gradients" className="px-5 pb-3">
      <SortableContext items={items} strategy={rectSortingStrategy}>
        <div ref={row} className="flex gap-4 overflow-x-auto p-0.5">
          {sections.map(({ kind, group, gradients: list }) => (
            <section
              key={`${kind} ${group}`}
              aria-label={group || SECTION_NAMES[kind] || 'In no group'}
              className={clsx('shrink-0', next > 0 && 'border-l border-hair pl-4')}
            >
              {sections.length > 1 && (
                <h2 className="h-4.5 truncate text-sm text-quiet">{group || SECTION_NAMES[kind]}</h2>
              )}
              <ul className="flex gap-2">
                {list.map((gradient) => (
                  <GradientTile
                    key={gradient.id}
                    id={gradient.id}
                    name={gradient.name}
                    seen={isSeen(next)}
                    index={next++}
                    to={addressOf(id, 'fade', gradient.id)}
                    on={gradient.id === open}
                    onMove={move}
                  />
                ))}
              </ul>
            </section>
          ))}
        </div>
      </SortableContext>
    </nav>
  );
}

/** What a tile is called among the things that can be dragged. */
const tileId = (gradient: string) => `gradient ${gradient}`;

/** The gradient in the present theme; painted once it is in the window, and again only when it changes itself. */
function TilePaint({ id }: { id: string }) {
  const resolved = useTheme().gradients.get(id);
  const css = useMemo(() => resolved && gradientCss(resolved), [resolved]);
  return <span className="block size-full" style={{ background: css ?? undefined }} />;
}

interface GradientTileProps {
  id: string;
  name: string;
  index: number;
  /** Whether it is in the window. */
  seen: boolean;
  to: string;
  on: boolean;
  onMove: (gradient: string, to: number) => void;
}

/** One gradient; another theme changes nothing but what it is painted with. */
const GradientTile = memo(function GradientTile(props: GradientTileProps) {
  const { id, name, index, seen, to, on, onMove } = props;
  const tile = useRef<HTMLLIElement | null>(null);
  const data: MovableThing = {
    moves: { kind: 'gradient', name, index, moveTo: (place) => onMove(id, place) },
  };
  const { setNodeRef, listeners, transform, transition, isDragging } = useSortable({
    id: tileId(id),
    data,
    ...SORT_MOTION,
  });
  const ref = useCallback(
    (element: HTMLLIElement | null) => {
      setNodeRef(element);
      tile.current = element;
    },
    [setNodeRef],
  );
  useEffect(() => {
    if (on) tile.current?.scrollIntoView({ block: 'nearest', inline: 'nearest' });
  }, [on]);
  return (
    <li
      ref={ref}
      className={clsx(
        // What is scrolled out of the window takes no part in what is painted; the focus reaches beyond a tile.
        'w-32 shrink-0 [contain-intrinsic-height:auto_44px] [content-visibility:auto] [overflow-clip-margin:6px]',
        isDragging && 'relative z-20 opacity-70',
      )}
      style={{ transform: CSS.Translate.toString(transform), transition }}
      // By keyboard the settings of a gradient do it.
      {...pressesOf(listeners)}
    >
      <Link to={to} draggable={false} aria-current={on ? 'true' : undefined} className="block rounded-md">
        <span aria-hidden className="checker block h-7 overflow-hidden rounded-md border border-hair">
          {seen && <TilePaint id={id} />}
        </span>
        <span className={clsx('block truncate text-sm', on ? 'font-semibold' : 'text-quiet')}>{name}</span>
      </Link>
    </li>
  );
});
