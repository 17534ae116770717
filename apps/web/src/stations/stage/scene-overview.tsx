import { Link } from 'react-router';
import { addressOf } from '../../addresses.ts';
import { SceneThumb } from '../../scene/scene-thumb.tsx';
import { SCENES } from '../../scene/scenes.ts';
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
/** Themes that are stacked in a tile; with more, each scene has a row of its own. */
const STACKED = 2;
/** Pages of rows that are drawn with a frame: what is pressed meanwhile need not wait for a row of twelve. */
const AT_ONCE = 2;

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
  const columns = rows ? 1 : Math.max(1, Math.min(most, Math.floor((width + GAP) / (LEAST_TILE + GAP))));
  const tile = rows
    ? Math.max(120, Math.floor((width - 112 - GAP * (themes.length - 1)) / themes.length))
    : Math.floor((width - GAP * (columns - 1)) / columns);
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
                className={rows ? 'flex items-center gap-3' : 'block'}
                title={`${scene.name}: ${scene.says}`}
              >
                <span className={rows ? 'flex flex-wrap gap-3' : 'flex flex-col gap-1'} style={{ filter }}>
                  {themes.map((theme, i) =>
                    row * themes.length + i < drawn ? (
                      <SceneThumb
                        key={theme.theme.id}
                        theme={theme}
                        Draw={scene.Draw}
                        page={Math.max(scene.width, 640)}
                        width={tile}
                        height={height}
                      />
                    ) : (
                      <span key={theme.theme.id} style={{ width: tile, height }} />
                    ),
                  )}
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
