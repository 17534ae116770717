import type { ResolvedTheme } from '@mint-lamp/core/system/resolve';
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

/** The page as wide as its place. */
function Page({ theme }: { theme: ResolvedTheme }) {
  const { element, width, height } = useSize<HTMLDivElement>();
  return (
    <div ref={element} className="aspect-[7/4]">
      {width > 0 && <SceneThumb theme={theme} width={width} height={height} />}
    </div>
  );
}

/** The page as several people see it, side by side, and what of its colours somebody cannot tell apart. @public Found by its file. */
export default function ReadersPage() {
  const theme = useTheme();
  const roles = useDocumentPart('roles');
  const { severity, reader } = useAppSelector((state) => state.interface);
  const dispatch = useAppDispatch();
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
      <ul
        aria-label="Readers"
        className="grid grid-cols-[repeat(auto-fill,minmax(max(200px,22%),1fr))] gap-x-[12px] gap-y-2 px-5 pb-4"
      >
        <li data-reader="everyone">
          <Page theme={theme} />
          <p className="pt-0.5 text-sm">As it is</p>
        </li>
        {READERS.map(({ id, name, note, filter }) => (
          <li key={id} data-reader={id}>
            <div className="overflow-hidden rounded-md">
              <div style={{ filter }}>
                <Page theme={theme} />
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
      <TwinsList severity={severity} />
    </>
  );
}
