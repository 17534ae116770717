import { type ComponentType, type CSSProperties, memo } from 'react';
import { StatesShown } from './action.tsx';
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
}

/** A scene in whatever paints it is given, as wide as what it stands in. */
export const SceneRoot = ({ style, ...drawn }: SceneRootProps) => (
  <div className="scene @container h-full text-left" style={style}>
    <Drawn {...drawn} />
  </div>
);
