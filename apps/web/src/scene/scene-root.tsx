import { type ComponentType, type CSSProperties, memo, type Ref } from 'react';
import { StatesShown } from './action.tsx';
import type { Echoes } from './echoes.ts';
import type { SceneText } from './scene-text.ts';

interface DrawnProps {
  Draw: ComponentType<{ text: SceneText }>;
  text: SceneText;
  states: boolean;
}

/** A scene without its colours, which its root has: drawn again only when it says something else. */
const Drawn = memo(function Drawn({ Draw, text, states }: DrawnProps) {
  return (
    <StatesShown value={states}>
      <Draw text={text} />
    </StatesShown>
  );
});

interface SceneRootProps extends DrawnProps {
  /** Its paints, as custom properties. */
  style: CSSProperties;
  root?: Ref<HTMLDivElement> | undefined;
}

const ROOT = 'scene @container h-full text-left';

/** A scene in whatever paints it is given, as wide as what it stands in. */
export const SceneRoot = ({ style, root, ...drawn }: SceneRootProps) => (
  <div ref={root} className={ROOT} style={style}>
    <Drawn {...drawn} />
  </div>
);

/** The same scene in other paints, as it is drawn elsewhere. */
export const SceneEcho = ({ style, echoes }: { style: CSSProperties; echoes: Echoes }) => (
  <div ref={echoes.to} className={ROOT} style={style} />
);
