import type { ProjectDocument } from '@mint-lamp/core/document/document';
import { wordsOf } from '@mint-lamp/core/document/project/sample-words';
import { resolveSystem } from '@mint-lamp/core/system/resolve';
import { castOf } from '@mint-lamp/core/system/scenes/cast';
import { scenePaints } from '@mint-lamp/core/system/scenes/scene-paints';
import { useMemo, useState } from 'react';
import { SceneRoot } from '../../../scene/scene-root.tsx';
import { sceneStyle } from '../../../scene/scene-style.ts';
import { sceneText } from '../../../scene/scene-text.ts';
import { SCENES } from '../../../scene/scenes.ts';
import { Small } from '../../../scene/small.tsx';
import { Choice } from '../../../ui/choice.tsx';
import { useSize } from '../../../ui/use-size.ts';

const GAP = 16;
const OPTIONS = SCENES.map(({ id, name }) => ({ value: id as string, label: name }));

/** A scene as it is and as it would be, in one theme at a time, large and side by side. */
export function BesidePresent({
  present,
  wanted,
  by,
}: {
  present: ProjectDocument;
  wanted: ProjectDocument;
  by: string;
}) {
  const [scene, setScene] = useState<string>(SCENES[0].id);
  const [theme, setTheme] = useState(present.themes[0]!.id);
  const { element, width } = useSize<HTMLDivElement>();
  const drawn = SCENES.find(({ id }) => id === scene) ?? SCENES[0];
  const sides = useMemo(
    () =>
      [present, wanted].map((document) => {
        const system = resolveSystem(document);
        const resolved = system.themes.get(theme) ?? [...system.themes.values()][0]!;
        return sceneStyle(scenePaints(castOf(document), resolved, () => null));
      }),
    [present, wanted, theme],
  );
  const text = sceneText(present.name, wordsOf(present).action, present.scenes.words);
  const each = Math.floor((width - GAP) / 2);
  return (
    <section aria-label="Beside the present" className="mt-4">
      <div className="mb-2 flex gap-3">
        <Choice
          label="Scene"
          hideLabel
          value={scene}
          options={OPTIONS}
          onChange={setScene}
          className="w-44"
        />
        <Choice
          label="Theme"
          hideLabel
          value={theme}
          options={present.themes.map(({ id, name }) => ({ value: id, label: name }))}
          onChange={setTheme}
          className="w-44"
        />
      </div>
      <div ref={element} className="grid grid-cols-2 narrow:grid-cols-1" style={{ gap: GAP }}>
        {['As it is', `As ${by} suggests`].map((label, i) => (
          <figure key={label} className="min-w-0">
            <figcaption className="mb-1 font-semibold">{label}</figcaption>
            {each > 0 && (
              <Small width={each} height={each * 0.62} page={drawn.width}>
                <SceneRoot Draw={drawn.Draw} text={text} states={false} style={sides[i]!} />
              </Small>
            )}
          </figure>
        ))}
      </div>
    </section>
  );
}
