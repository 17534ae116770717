import clsx from 'clsx';
import { Link } from 'react-router';
import { addressOf } from '../../addresses.ts';
import { SceneThumb } from '../../scene/scene-thumb.tsx';
import { SCENES, type Scene, type SceneId } from '../../scene/scenes.ts';
import { useProjectId, useTheme } from '../../store/selectors.ts';
import { useSize } from '../../ui/use-size.ts';
import { useSeenThrough } from './stage-tools.tsx';

/** A scene in the theme that is switched on; alone it is drawn again with a colour, and not what leads to it. */
function Thumb({ scene, width }: { scene: Scene; width: number }) {
  return (
    <SceneThumb
      theme={useTheme()}
      Draw={scene.Draw}
      page={Math.max(scene.width, 640)}
      width={width}
      height={Math.round(width * 0.66)}
    />
  );
}

const GAP = 8;
const LEAST = 64;

/** All scenes small and live in the theme that is switched on, while one of them is open large. */
export function SceneStrip({ open }: { open: SceneId }) {
  const id = useProjectId();
  const filter = useSeenThrough();
  const { element, width } = useSize<HTMLUListElement>();
  const each = Math.max(LEAST, Math.floor((width - 8 - GAP * (SCENES.length - 1)) / SCENES.length));
  return (
    <nav
      aria-label="Scenes"
      className="sticky bottom-0 z-10 mt-auto shrink-0 border-t border-hair bg-ground px-4 py-1"
    >
      <ul ref={element} className="flex overflow-x-auto p-1" style={{ gap: GAP }}>
        {width > 0 &&
          SCENES.map((scene) => (
            <li key={scene.id} className="shrink-0">
              <Link
                to={addressOf(id, 'stage', scene.id)}
                aria-current={scene.id === open ? 'page' : undefined}
                className={clsx(
                  'block rounded-md',
                  scene.id === open && 'outline-2 outline-offset-1 outline-main',
                )}
              >
                <span className="block" style={{ filter }}>
                  <Thumb scene={scene} width={each} />
                </span>
                <span
                  className={clsx('block truncate px-0.5 text-sm', scene.id === open && 'font-semibold')}
                  style={{ width: each }}
                >
                  {scene.name}
                </span>
              </Link>
            </li>
          ))}
      </ul>
    </nav>
  );
}
