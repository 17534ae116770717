import { useParams } from 'react-router';
import { SCENES } from '../../scene/scenes.ts';
import { SeeingFilters } from '../../seeing/seeing-filters.tsx';
import { useDocumentPart } from '../../store/selectors.ts';
import { useAppSelector } from '../../store/store.ts';
import { EmptyState } from '../../ui/notice.tsx';
import { PageHeader } from '../../ui/page-header.tsx';
import { part } from '../../ui/part.tsx';
import { artworkOfAddress } from './artwork/artwork-address.ts';
import { LargeScene } from './large-scene.tsx';
import { SceneOverview } from './scene-overview.tsx';

const LargePage = part(() => import('./artwork/large-page.tsx'));
const LargeDrawing = part(() => import('./artwork/large-drawing.tsx'));

/** The system tried on pages that only roles paint: all of them small, or one large. */
export default function Stage() {
  const roles = useDocumentPart('roles');
  const severity = useAppSelector((state) => state.interface.severity);
  const { scene: id } = useParams();
  const scene = SCENES.find((one) => one.id === id);
  const own = artworkOfAddress(id);
  const artwork = useDocumentPart('artworks').find((one) => one.id === own);
  if (!roles.length)
    return (
      <>
        <PageHeader title="Stage" help="stage" lead="Your roles on real pages." />
        <EmptyState title="Nothing to paint with yet">
          Pages are painted by roles: name some at Assign.
        </EmptyState>
      </>
    );
  return (
    <div className="flex min-h-full flex-col">
      <SeeingFilters severity={severity} />
      {scene ? (
        <LargeScene scene={scene} />
      ) : artwork ? (
        artwork.kind === 'page' ? (
          <LargePage key={artwork.id} artwork={artwork} />
        ) : (
          <LargeDrawing key={artwork.id} artwork={artwork} />
        )
      ) : (
        <SceneOverview />
      )}
    </div>
  );
}
