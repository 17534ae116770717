import type { SceneUse } from '@mint-lamp/core/document/scenes/scene-uses';
import type { CSSProperties, ReactNode } from 'react';

/** What paints a part of a scene, by use. */
interface PartPaint {
  ground?: SceneUse | undefined;
  text?: SceneUse | undefined;
  /** Its borders. */
  line?: SceneUse | undefined;
  /** A ring around it. */
  ring?: SceneUse | undefined;
}

const known = new Map<string, CSSProperties>();

/** The style of a part; one object for all parts that are painted alike. */
function styleOf({ ground, text, line, ring }: PartPaint): CSSProperties {
  const key = `${ground} ${text} ${line} ${ring}`;
  let style = known.get(key);
  if (!style) {
    const under = ground && `var(--s-${ground}, transparent)`;
    style = {
      // What nothing paints is mid-grey, so that it is seen to be there; it is told where the scene is shown.
      ...(text ? { color: `var(--s-${text}, #808080)` } : {}),
      ...(text || under
        ? { background: [text && `var(--s-${text}-image, none) text`, under].filter(Boolean).join(', ') }
        : {}),
      ...(line ? { borderColor: `var(--s-${line}, transparent)` } : {}),
      ...(ring ? { outline: `3px solid var(--s-${ring}, transparent)`, outlineOffset: 2 } : {}),
    };
    known.set(key, style);
  }
  return style;
}

interface PartProps extends PartPaint {
  className?: string | undefined;
  style?: CSSProperties;
  children?: ReactNode;
}

/** A painted part of a scene. What paints it is on the element, so that it can be pressed, measured and told. */
export function Part({ ground, text, line, ring, className, style, children }: PartProps) {
  return (
    <div
      data-ground={ground}
      data-text={text}
      data-line={line}
      data-ring={ring}
      className={className}
      style={
        style ? { ...styleOf({ ground, text, line, ring }), ...style } : styleOf({ ground, text, line, ring })
      }
    >
      {children}
    </div>
  );
}
