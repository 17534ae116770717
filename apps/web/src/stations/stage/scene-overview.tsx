import type { ResolvedTheme } from '@mint-lamp/core/system/resolve';
import { useState } from 'react';
import { Link } from 'react-router';
import { addressOf } from '../../addresses.ts';
import { Echoes } from '../../scene/echoes.ts';
import { SceneThumb, ThumbEcho } from '../../scene/scene-thumb.tsx';
import { SCENES, type Scene } from '../../scene/scenes.ts';
import { useProjectId } from '../../store/selectors.ts';
import { PageHeader } from '../../ui/page-header.tsx';
import { useGradually } from '../../ui/use-gradually.ts';
import { useSize } from '../../ui/use-size.ts';
import { ArtworkTiles } from './artwork/artwork-tiles.tsx';
import { BalancePanel, SharesButton } from './balance/shares-button.tsx';
import { CastLine } from './casting/cast-line.tsx';
import { StageTools, useSeenThrough } from './stage-tools.tsx';
import { useSeenThemes, useStageView } from './use-stage-view.ts';
import { WordsButton } from './words/words-button.tsx';

const ALL = SCENES.map(({ id }) => id);

/** px that a tile has at least, and between two. */
const LEAST_TILE = 172;
const GAP = 12;
/** The same of the pages in a row, and at most. */
const LEAST_IN_ROW = 120;
const MOST_IN_ROW = 320;
/** Themes that are stacked in a tile; with more, each scene has a row of its own. */
const STACKED = 2;
/** Pages of rows that are drawn with a frame: what is pressed meanwhile need not wait for a row of twelve. */
const AT_ONCE = 4;

/** Every scene, small and live, in the themes that are seen. A press opens one large. */
export function SceneOverview() {
  const id = useProjectId();
  const themes = useSeenThemes();
  const [{ shares }] = useStageView();
  const filter = useSeenThrough();
  const { element, width } = useSize<HTMLUListElement>();
  const rows = themes.length > STACKED;
  const pages = SCENES.flatMap((scene) => themes.map(() => scene));
  const come = useGradually(rows ? pages : [], AT_ONCE).length;
  const drawn = rows ? come : pages.length;
  // Where there is room the tiles grow, and not the rows.
  const most = Math.ceil(SCENES.length / 2);
  const room = (least: number) => Math.max(1, Math.floor((width + GAP) / (least + GAP)));
  const columns = rows ? 1 : Math.min(most, room(LEAST_TILE));
  // In every row a theme has the same place, and lines are as long as each other.
  const abreast = rows ? Math.ceil(themes.length / Math.ceil(themes.length / room(LEAST_IN_ROW))) : columns;
  const tile = Math.min(rows ? MOST_IN_ROW : width, Math.floor((width - GAP * (abreast - 1)) / abreast));
  const height = Math.round(tile * (themes.length === 1 ? 0.78 : 0.6));
  return (
    <>
      <PageHeader
        title="Stage"
        help="stage"
        lead="Your roles on real pages. Press a page to see it large and change it there."
      >
        <StageTools />
        <SharesButton />
        <WordsButton />
      </PageHeader>
      <CastLine />
      {shares && <BalancePanel scenes={ALL} width={null} />}
      <ul
        ref={element}
        aria-label="Scenes"
        className="mx-5 mb-5 grid"
        style={{ gap: GAP, gridTemplateColumns: `repeat(${columns}, minmax(0, 1fr))` }}
      >
        {width > 0 &&
          SCENES.slice(0, Math.ceil(drawn / themes.length)).map((scene, row) => (
            <li key={scene.id} data-scene={scene.id}>
              <Link
                to={addressOf(id, 'stage', scene.id)}
                className={rows ? 'flex flex-col-reverse gap-1' : 'block'}
                title={`${scene.name}: ${scene.says}`}
              >
                <span
                  className={rows ? 'grid' : 'flex flex-col gap-1'}
                  style={
                    rows
                      ? { gap: GAP, gridTemplateColumns: `repeat(${abreast}, ${tile}px)`, filter }
                      : { filter }
                  }
                >
                  <InThemes
                    scene={scene}
                    themes={themes}
                    come={drawn - row * themes.length}
                    width={tile}
                    height={height}
                    named={rows}
                  />
                </span>
                <span className="block pt-1 text-sm">
                  <span className="font-semibold">{scene.name}</span>
                </span>
              </Link>
            </li>
          ))}
      </ul>
      <ArtworkTiles />
    </>
  );
}

interface InThemesProps {
  scene: Scene;
  themes: readonly ResolvedTheme[];
  /** How many of them have come yet. */
  come: number;
  width: number;
  height: number;
  /** Whether each says which theme it is. */
  named: boolean;
}

/** A scene in every theme: drawn in the first, whose page the others show in their own colours. */
function InThemes({ scene, themes, come, width, height, named }: InThemesProps) {
  const [echoes] = useState(() => new Echoes());
  return themes.map((theme, i) => {
    const small = { theme, width, height, echoes, page: Math.max(scene.width, 640) };
    const { id, name } = theme.theme;
    return (
      <span key={id} aria-hidden className="block min-w-0">
        {i >= come ? (
          <span className="block" style={{ width, height }} />
        ) : i ? (
          <ThumbEcho {...small} />
        ) : (
          <SceneThumb {...small} Draw={scene.Draw} />
        )}
        {named && <span className="block truncate text-sm text-quiet">{name}</span>}
      </span>
    );
  });
}
