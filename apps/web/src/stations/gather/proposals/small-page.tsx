import type { ScenePaints } from '@mint-lamp/core/system/scenes/scene-paints';
import { memo, useMemo } from 'react';
import { SceneRoot } from '../../../scene/scene-root.tsx';
import { sceneStyle } from '../../../scene/scene-style.ts';
import { Landing } from '../../../scene/scenes/landing.tsx';
import { Small } from '../../../scene/small.tsx';
import { useSceneText } from '../../../scene/use-scene.ts';
import { useSize } from '../../../ui/use-size.ts';

const PAGE = 900;

/** The landing page painted with a proposal, small. */
function SmallPage({ page }: { page: ScenePaints }) {
  const text = useSceneText();
  const style = useMemo(() => sceneStyle(page), [page]);
  const { element, width, height } = useSize<HTMLDivElement>();
  return (
    <div ref={element} className="aspect-[7/3]">
      {width > 0 && (
        <Small width={width} height={height} page={PAGE}>
          <SceneRoot Draw={Landing} text={text} style={style} states={false} />
        </Small>
      )}
    </div>
  );
}

export default memo(SmallPage);
