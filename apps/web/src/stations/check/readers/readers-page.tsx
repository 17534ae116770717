import { clamp } from '@mint-lamp/core/numbers/clamp';
import { METHOD } from '@mint-lamp/core/vision/simulate';
import { SceneThumb } from '../../../scene/scene-thumb.tsx';
import { READERS } from '../../../seeing/readers.ts';
import { SeeingFilters } from '../../../seeing/seeing-filters.tsx';
import { SeverityTrack } from '../../../seeing/severity-track.tsx';
import { readerChosen } from '../../../store/interface-slice.ts';
import { useDocumentPart, useTheme } from '../../../store/selectors.ts';
import { useAppDispatch, useAppSelector } from '../../../store/store.ts';
import { Button } from '../../../ui/button.tsx';
import { EmptyState } from '../../../ui/notice.tsx';
import { useSize } from '../../../ui/use-size.ts';
import { CheckHeader } from '../check-header.tsx';
import { TwinsList } from './twins-list.tsx';

/** Px between the pages, of one at least, and how many stand beside each other at most. */
const GAP = 12;
const LEAST = 200;
const MOST_COLUMNS = 4;

/** How large each page is: whole pixels, so that all of them are drawn alike. */
function sizeIn(room: number) {
  const columns = clamp(Math.floor((room + GAP) / (LEAST + GAP)), 1, MOST_COLUMNS);
  const width = Math.floor((room + GAP) / columns) - GAP;
  return { columns, width, height: Math.round((width * 4) / 7) };
}

/** The page as several people see it, side by side, and what of its colours somebody cannot tell apart. @public Found by its file. */
export default function ReadersPage() {
  const theme = useTheme();
  const roles = useDocumentPart('roles');
  const severity = useAppSelector((state) => state.interface.severity);
  if (!roles.length)
    return (
      <>
        <CheckHeader view="readers" lead="The page as others see it." />
        <EmptyState title="Nothing to see yet">Scenes are painted by roles: name some at Assign.</EmptyState>
      </>
    );
  return (
    <>
      <CheckHeader
        view="readers"
        lead={`The landing page in ${theme.theme.name}, as others see it. Colour vision by ${METHOD}.`}
      >
        <SeverityTrack />
      </CheckHeader>
      <SeeingFilters severity={severity} />
      <Pages />
      <TwinsList severity={severity} />
    </>
  );
}

/** The page as it is and as each of the readers sees it, as large as there is room for. */
function Pages() {
  const theme = useTheme();
  const reader = useAppSelector((state) => state.interface.reader);
  const dispatch = useAppDispatch();
  const { element, width: room } = useSize<HTMLDivElement>();
  const { columns, width, height } = sizeIn(room);
  return (
    <div ref={element} className="mx-5 mb-4">
      <ul
        aria-label="Readers"
        className="grid gap-y-2"
        style={{ columnGap: GAP, gridTemplateColumns: `repeat(${columns}, ${width}px)` }}
      >
        <li data-reader="everyone">
          <SceneThumb theme={theme} width={width} height={height} />
          <p className="pt-0.5 text-sm">As it is</p>
        </li>
        {READERS.map(({ id, name, note, filter }) => (
          <li key={id} data-reader={id}>
            <div className="overflow-hidden rounded-md">
              <div style={{ filter }}>
                <SceneThumb theme={theme} width={width} height={height} />
              </div>
            </div>
            <div className="flex items-start gap-1 pt-0.5">
              <p className="min-w-0 flex-1 text-sm">
                {name}
                <span className="block text-quiet">{note}</span>
              </p>
              <Button
                small
                look="quiet"
                aria-pressed={reader === id}
                aria-label={`See everything this way: ${name}`}
                title="At every station, until you switch it off"
                onClick={() => dispatch(readerChosen(reader === id ? null : id))}
              >
                {reader === id ? 'On everywhere' : 'Use everywhere'}
              </Button>
            </div>
          </li>
        ))}
      </ul>
    </div>
  );
}
