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
import { useSeenThemes } from '../use-stage-view.ts';
import { Drawing } from './drawing.tsx';
import { drawingAddress } from './drawing-address.ts';
import { usePaintedArtwork } from './use-painted-artwork.ts';

const AddDrawing = part(() => import('./add-drawing.tsx'), <div className="h-60 w-[400px]" />);

/** The project's own drawings, small and live, in the themes that are seen; and the way to another. */
export function DrawingTiles() {
  const id = useProjectId();
  const artworks = useDocumentPart('artworks');
  const themes = useSeenThemes();
  const [adding, setAdding] = useState(false);
  return (
    <section aria-label="Drawings" className="mx-5 mb-5 border-t border-hair pt-3">
      <div className="mb-2 flex items-center gap-3">
        <h2 className="font-title text-lg font-semibold">Your drawings</h2>
        {!artworks.length && (
          <p className="text-quiet">
            An illustration or an icon of yours, its colours linked to this project.
          </p>
        )}
        <span className="ml-auto" />
        <Popover
          label="Add a drawing"
          align="end"
          open={adding}
          onOpenChange={setAdding}
          trigger={<Button small>Add a drawing …</Button>}
        >
          <AddDrawing onDone={() => setAdding(false)} />
        </Popover>
      </div>
      <ul className="flex flex-wrap gap-3">
        {artworks.map((artwork) => (
          <li key={artwork.id}>
            <Link to={addressOf(id, 'stage', drawingAddress(artwork.id))} className="block">
              <span className="flex gap-1">
                {themes.slice(0, 4).map((theme) => (
                  <OnPage key={theme.theme.id} artwork={artwork} theme={theme} className="size-24 p-2" />
                ))}
              </span>
              <span className="block pt-1 text-sm font-semibold">{artwork.name}</span>
            </Link>
          </li>
        ))}
      </ul>
    </section>
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
