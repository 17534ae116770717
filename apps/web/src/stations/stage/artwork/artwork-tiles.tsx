import type { Artwork } from '@mint-lamp/core/document/artworks/artwork';
import type { ResolvedTheme } from '@mint-lamp/core/system/resolve';
import { useState } from 'react';
import { Link } from 'react-router';
import { addressOf } from '../../../addresses.ts';
import { useScenePaints } from '../../../scene/use-scene.ts';
import { useDocumentPart, useProjectId } from '../../../store/selectors.ts';
import { Button } from '../../../ui/button.tsx';
import { part } from '../../../ui/part.tsx';
import { Popover } from '../../../ui/popover.tsx';
import { useResting } from '../../../ui/use-resting.ts';
import { useSeenThemes } from '../use-stage-view.ts';
import { artworkAddress } from './artwork-address.ts';
import { Drawing } from './drawing.tsx';
import { PageFrame } from './page-frame.tsx';
import { usePaintedArtwork } from './use-painted-artwork.ts';

const AddArtwork = part(() => import('./add-artwork.tsx'), <div className="h-60 w-[420px]" />);

/** Themes in which a tile shows an artwork. */
const MOST_THEMES = 4;
/** px of a page in a tile, and for which it is laid out. */
const SMALL = { shown: 150, page: 1000, high: 640 };

/** The project's own drawings and pages, small and live, in the themes that are seen; and the way to another. */
export function ArtworkTiles() {
  const id = useProjectId();
  const artworks = useDocumentPart('artworks');
  const themes = useSeenThemes();
  const [adding, setAdding] = useState(false);
  return (
    <section aria-label="Artwork" data-help="artwork" className="mx-5 mb-5 border-t border-hair pt-3">
      <div className="mb-2 flex flex-wrap items-center gap-x-3 gap-y-1">
        <h2 className="font-title text-lg font-semibold">Your artwork</h2>
        {!artworks.length && (
          <p className="text-quiet">A drawing or a page of yours, its colours linked to this project.</p>
        )}
        <span className="ml-auto" />
        <Popover
          label="Add a drawing or a page"
          align="end"
          open={adding}
          onOpenChange={setAdding}
          trigger={<Button small>Add a drawing or a page …</Button>}
        >
          <AddArtwork onDone={() => setAdding(false)} />
        </Popover>
      </div>
      <ul className="flex flex-wrap gap-3">
        {artworks.map((artwork) => (
          <li key={artwork.id}>
            <Link to={addressOf(id, 'stage', artworkAddress(artwork.id))} className="block">
              <span className="flex gap-1">
                {themes
                  .slice(0, MOST_THEMES)
                  .map((theme) =>
                    artwork.kind === 'page' ? (
                      <SmallPage key={theme.theme.id} artwork={artwork} theme={theme} />
                    ) : (
                      <OnPage key={theme.theme.id} artwork={artwork} theme={theme} className="size-24 p-2" />
                    ),
                  )}
              </span>
              <span className="block pt-1 text-sm font-semibold">{artwork.name}</span>
            </Link>
          </li>
        ))}
      </ul>
    </section>
  );
}

function SmallPage({ artwork, theme }: { artwork: Artwork; theme: ResolvedTheme }) {
  const html = useResting(usePaintedArtwork(artwork, theme));
  return (
    <span className="pointer-events-none block" aria-hidden>
      <PageFrame
        html={html}
        title={`${artwork.name} in ${theme.theme.name}`}
        width={SMALL.page}
        height={SMALL.high}
        scale={SMALL.shown / SMALL.page}
      />
    </span>
  );
}

interface OnPageProps {
  artwork: Artwork;
  theme: ResolvedTheme;
  className: string;
}

/** A drawing in a theme, on that theme's page. */
export function OnPage({ artwork, theme, className }: OnPageProps) {
  const { paints } = useScenePaints(theme);
  return (
    <span
      data-drawing={theme.theme.id}
      className={`flex items-center justify-center rounded-md border border-hair ${className}`}
      style={{ background: paints.page ?? '#ffffff' }}
    >
      <Drawing svg={usePaintedArtwork(artwork, theme)} name={`${artwork.name} in ${theme.theme.name}`} />
    </span>
  );
}
