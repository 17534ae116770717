import type { Artwork } from '@mint-lamp/core/document/artworks/artwork';
import { matchPage } from '@mint-lamp/core/edits/artworks/match-page';
import { pageColors } from '@mint-lamp/core/page/page-colors';
import type { ResolvedTheme } from '@mint-lamp/core/system/resolve';
import { useCallback, useMemo, useState } from 'react';
import { toast } from 'sonner';
import { newId, useEditing } from '../../../store/editing.ts';
import { selectSettledSystem, useDocumentPart, useTheme } from '../../../store/selectors.ts';
import { useAppSelector } from '../../../store/store.ts';
import { Button } from '../../../ui/button.tsx';
import { CopyButton } from '../../../ui/copy-button.tsx';
import { useResting } from '../../../ui/use-resting.ts';
import { useSize } from '../../../ui/use-size.ts';
import { useSeenThrough } from '../stage-tools.tsx';
import { useSeenThemes, useStageView } from '../use-stage-view.ts';
import { ArtColors } from './art-colors.tsx';
import { ArtworkHeader } from './artwork-header.tsx';
import { PageFrame } from './page-frame.tsx';
import { markedPage, type PagePlace, pairsOf, placesOn } from './page-pairs.ts';
import { usePaintedArtwork } from './use-painted-artwork.ts';

/** CSS px for which a page is laid out where no width is chosen. */
const WIDTH = 1100;
const HEIGHT = 900;
/** px of a page that is laid out to be read, at most. */
const LONGEST = 12_000;
const GAP = 16;

/** A page of one's own, in every theme beside as it was, with its colours and what they are linked to. */
export default function LargePage({ artwork }: { artwork: Artwork }) {
  const themes = useSeenThemes();
  const filter = useSeenThrough();
  const [view] = useStageView();
  const { element, width: space } = useSize<HTMLDivElement>();
  const width = view.width ?? WIDTH;
  const columns = Math.min(2, themes.length + 1);
  const scale = Math.min(1, Math.max(0.1, (space - GAP * (columns - 1) - 4) / columns / width));
  const colors = useMemo(
    () =>
      pageColors(artwork.content).map(({ key, color }) => ({
        key,
        color,
        said: key.replace(/^(ground|text|line|shadow) .*/, '$1'),
      })),
    [artwork.content],
  );
  return (
    <section aria-label={artwork.name} className="flex flex-1 flex-col">
      <ArtworkHeader artwork={artwork} />
      <div className="grid flex-1 grid-cols-[minmax(0,1fr)_344px] narrow:grid-cols-1 gap-5 px-5 pb-5 max-[1100px]:grid-cols-1">
        <div ref={element} className="flex flex-wrap content-start" style={{ filter, gap: GAP }}>
          {space > 0 &&
            themes.map((theme) => (
              <ThemedPage key={theme.theme.id} artwork={artwork} theme={theme} width={width} scale={scale} />
            ))}
          {space > 0 && (
            <figure className="m-0">
              <figcaption className="pb-1 text-sm text-quiet">Original</figcaption>
              <PageFrame
                html={artwork.content}
                title={`${artwork.name}, the original`}
                width={width}
                height={HEIGHT}
                scale={scale}
              />
            </figure>
          )}
        </div>
        <div>
          <Proposals artwork={artwork} />
          <h2 className="mb-1 text-sm text-quiet">
            {colors.length} {colors.length === 1 ? 'colour' : 'colours'}, by what they paint
          </h2>
          <ArtColors artwork={artwork} colors={colors} />
          <ItsPairs artwork={artwork} width={width} />
          <Handing artwork={artwork} />
        </div>
      </div>
    </section>
  );
}

interface ThemedPageProps {
  artwork: Artwork;
  theme: ResolvedTheme;
  width: number;
  scale: number;
}

function ThemedPage({ artwork, theme, width, scale }: ThemedPageProps) {
  // A frame is loaded anew with every change, so it follows when colours rest.
  const html = useResting(usePaintedArtwork(artwork, theme));
  return (
    <figure className="m-0" data-page={theme.theme.id}>
      <figcaption className="pb-1 text-sm text-quiet">{theme.theme.name}</figcaption>
      <PageFrame
        html={html}
        title={`${artwork.name} in ${theme.theme.name}`}
        width={width}
        height={HEIGHT}
        scale={scale}
      />
    </figure>
  );
}

function Proposals({ artwork }: { artwork: Artwork }) {
  const settled = useAppSelector(selectSettledSystem);
  const theme = settled.themes.get(useTheme().theme.id);
  const { edit } = useEditing();
  const link = (links: Artwork['links']) => edit({ type: 'linkArtwork', artwork: artwork.id, links });
  return (
    <fieldset aria-label="Link all colours" className="mb-3 flex flex-wrap items-center gap-1.5">
      <Button
        small
        title="Custom properties by their names, other colours by the nearest role of those that paint such a part"
        disabled={!theme}
        onClick={() =>
          theme && link(Object.fromEntries(matchPage(settled, theme, pageColors(artwork.content))))
        }
      >
        Nearest roles
      </Button>
      <Button small title="Its own colours" onClick={() => link({})}>
        Original
      </Button>
    </fieldset>
  );
}

/** The pairs of the page, read where its texts really stand, to be checked with all others. */
function ItsPairs({ artwork, width }: { artwork: Artwork; width: number }) {
  const pairs = useDocumentPart('pairs');
  const { edit } = useEditing();
  const [places, setPlaces] = useState<readonly PagePlace[] | null>(null);
  const marked = useMemo(() => markedPage(artwork.content), [artwork.content]);
  const look = useCallback((page: Document) => setPlaces(placesOn(page, marked.keyOf)), [marked]);
  const made = places && pairsOf(places, artwork, pairs, newId);
  return (
    <section aria-label="Its pairs" className="mt-3">
      <div aria-hidden className="pointer-events-none fixed top-0 left-0 size-0 overflow-hidden opacity-0">
        <PageFrame html={marked.html} title="" width={width} height={LONGEST} scale={1} onLoad={look} />
      </div>
      <p className="text-sm text-quiet">
        {places === null
          ? 'Looking where its texts stand …'
          : `${places.length} ${places.length === 1 ? 'combination' : 'combinations'} of text and ground found; ${made!.length} ${made!.length === 1 ? 'is no pair' : 'are no pairs'} yet.`}
      </p>
      {made && made.length > 0 && (
        <Button
          small
          className="mt-1"
          onClick={() => {
            const done = edit({
              type: 'batch',
              label: `add ${made.length} pairs of ${artwork.name}`,
              commands: made.map((pair) => ({ type: 'addPair', pair }) as const),
            });
            if (done) toast(`${made.length} ${made.length === 1 ? 'pair is' : 'pairs are'} at Check.`);
          }}
        >
          Add {made.length === 1 ? 'it' : `these ${made.length}`} to Check
        </Button>
      )}
    </section>
  );
}

function Handing({ artwork }: { artwork: Artwork }) {
  const theme = useTheme();
  return (
    <p className="mt-3 flex items-center gap-1">
      <span className="flex-1">Its HTML as in {theme.theme.name}</span>
      <CopyButton text={usePaintedArtwork(artwork, theme)} label="Copy the page">
        Copy
      </CopyButton>
    </p>
  );
}
