import { rectSortingStrategy, SortableContext } from '@dnd-kit/sortable';
import { groupsOf } from '@mint-lamp/core/document/tray/swatch';
import { Fragment, useEffect, useMemo, useRef } from 'react';
import { selectDocument } from '../store/selectors.ts';
import { useAppSelector } from '../store/store.ts';
import { HelpMark } from '../ui/help-mark.tsx';
import { AddColor } from './add-color.tsx';
import { GroupLabel } from './group-label.tsx';
import { TrayColor } from './tray-color.tsx';
import { TallerTray, TrayEdge, type TrayHeight } from './tray-height.tsx';
import { ClearTray, CopyTray, PickedTools, SortTray, TwinsInTray } from './tray-tools.tsx';
import { useArrivals } from './use-arrivals.ts';
import { usePicked } from './use-picked.ts';

/** The collected colours, in groups; they stay until they are cleared. At any height all of them can be reached. */
export function Tray({ height }: { height: TrayHeight }) {
  const tray = useAppSelector((state) => selectDocument(state).tray);
  const groups = useMemo(() => groupsOf(tray), [tray]);
  const order = useMemo(() => groups.flatMap(({ swatches }) => swatches.map(({ id }) => id)), [groups]);
  const picked = usePicked(order);
  const arrivals = useArrivals(order);
  const list = useRef<HTMLUListElement>(null);
  // What arrives is brought into sight.
  useEffect(() => {
    if (arrivals.size) list.current?.querySelector('.arrives')?.scrollIntoView({ block: 'nearest' });
  }, [arrivals]);
  return (
    <section
      id="tray"
      data-help="tray"
      aria-label="Tray"
      tabIndex={-1}
      className="relative isolate col-span-2 flex min-h-0 min-w-0 items-start gap-3 border-t border-hair bg-sunken px-3 outline-none narrow:col-span-1 narrow:min-h-40 narrow:flex-col narrow:gap-1 narrow:pb-2"
    >
      <TrayEdge height={height} />
      <div className="flex shrink-0 items-center gap-1 pt-4.5 narrow:pt-3">
        <h2 className="font-title font-semibold">
          Tray <span className="font-sans text-sm font-normal text-quiet">{tray.length}</span>
        </h2>
      </div>
      <SortableContext items={order} strategy={rectSortingStrategy}>
        <ul
          ref={list}
          className="flex h-full min-w-0 flex-1 flex-wrap content-start items-center gap-1 overflow-y-auto py-1"
        >
          {groups.map(({ name, swatches }) => (
            <Fragment key={name}>
              {name && <GroupLabel name={name} count={swatches.length} picked={picked} />}
              {swatches.map((swatch) => (
                <TrayColor
                  key={swatch.id}
                  swatch={swatch}
                  picked={picked}
                  arrived={arrivals.has(swatch.id)}
                />
              ))}
            </Fragment>
          ))}
          {!tray.length && <li className="pt-4 text-quiet">Your collected colours wait here.</li>}
        </ul>
      </SortableContext>
      <div className="flex shrink-0 flex-wrap items-center gap-1 pt-4 narrow:pt-0">
        <PickedTools tray={tray} picked={picked} />
        <TwinsInTray tray={tray} />
        <SortTray tray={tray} />
        <CopyTray tray={tray} />
        <AddColor />
        <ClearTray tray={tray} />
        <TallerTray height={height} />
        <HelpMark of="tray" about="Tray" />
      </div>
    </section>
  );
}
