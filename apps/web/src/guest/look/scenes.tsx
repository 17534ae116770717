import type { Noted } from '@mint-lamp/core/document/naming/note-name';
import type { Note } from '@mint-lamp/core/document/notes/note';
import type { SceneUse } from '@mint-lamp/core/document/scenes/scene-uses';
import type { System } from '@mint-lamp/core/system/resolve';
import { castOf } from '@mint-lamp/core/system/scenes/cast';
import clsx from 'clsx';
import {
  type ComponentType,
  type CSSProperties,
  type MouseEvent,
  type ReactNode,
  useMemo,
  useState,
} from 'react';
import { countOf, NotePin, saidOfPin } from '../../scene/note-pin.tsx';
import { SceneRoot } from '../../scene/scene-root.tsx';
import type { SceneText } from '../../scene/scene-text.ts';
import { SCENES } from '../../scene/scenes.ts';
import { useNotedParts } from '../../scene/use-noted-parts.ts';
import { useSize } from '../../ui/use-size.ts';
import { GuestSection } from '../guest-frame.tsx';
import type { PaintedTheme } from '../shown-system.ts';

interface ScenesProps {
  /** The one that is shown; null where there are all to choose from. */
  only: string | null;
  system: System;
  themes: readonly PaintedTheme[];
  text: SceneText;
  notes: readonly Note[];
  onNote?: ((on: Noted) => void) | undefined;
}

/** Pages of the project in every theme, side by side where there is room; what is pressed can be noted on. */
export function Scenes({ only, system, themes, text, notes, onNote }: ScenesProps) {
  const [chosen, setChosen] = useState<string>(only ?? SCENES[0].id);
  const scene = SCENES.find(({ id }) => id === (only ?? chosen)) ?? SCENES[0];
  const uses = useMemo(() => castOf(system.document), [system]);
  const press = (event: MouseEvent) => {
    // The text before the ground that it stands on.
    const part = (event.target as Element).closest<HTMLElement>('[data-text], [data-ground], [data-line]');
    const { text: written, ground, line } = part?.dataset ?? {};
    const use = (written ?? ground ?? line) as SceneUse | undefined;
    const link = use && uses.get(use)?.link;
    if (link?.to === 'role') onNote?.({ kind: 'role', role: link.role });
    else if (link?.to === 'gradient') onNote?.({ kind: 'gradient', gradient: link.gradient });
  };
  return (
    <GuestSection
      title={only === null ? 'How it looks' : scene.name}
      says={onNote ? 'Press anything on a page to write a note on its colour.' : ''}
    >
      {only === null && (
        <div
          role="radiogroup"
          aria-label="Page"
          className="-mx-4 mb-3 flex gap-1.5 overflow-x-auto px-4 pb-1 md:mx-0 md:flex-wrap md:px-0"
        >
          {SCENES.map(({ id, name }) => (
            <label
              key={id}
              className={clsx(
                'relative flex h-10 shrink-0 items-center rounded-md border border-control px-3 text-base has-focus-visible:outline-2 has-focus-visible:outline-offset-2 has-focus-visible:outline-ring md:h-8',
                id === chosen ? 'bg-main text-inverse' : 'bg-raised hover:bg-pressed',
              )}
            >
              <input
                type="radio"
                name="scene"
                value={id}
                checked={id === chosen}
                onChange={() => setChosen(id)}
                className="sr-only"
              />
              {name}
            </label>
          ))}
        </div>
      )}
      <ul className={clsx('grid items-start gap-5', themes.length > 1 && 'lg:grid-cols-2')}>
        {themes.map(({ id, name, style }) => (
          <li key={id} className="min-w-0">
            <h3 className="mb-1 text-base font-semibold">{name}</h3>
            <div data-specimen data-scene-theme={name} className="relative">
              <PinnedScene
                Draw={scene.Draw}
                text={text}
                style={style}
                onPress={onNote && press}
                pins={(page, layout) => (
                  <Pins
                    page={page}
                    layout={`${scene.id} ${layout}`}
                    system={system}
                    uses={uses}
                    theme={system.themes.get(id)!}
                    notes={notes}
                    onNote={onNote}
                  />
                )}
              />
            </div>
          </li>
        ))}
      </ul>
    </GuestSection>
  );
}

interface PinnedSceneProps {
  Draw: ComponentType<{ text: SceneText }>;
  text: SceneText;
  style: CSSProperties;
  onPress: ((event: MouseEvent) => void) | undefined;
  pins: (page: HTMLElement, layout: string) => ReactNode;
}

/** A scene with what is pinned to it, which stands where its parts stand. */
function PinnedScene({ Draw, text, style, onPress, pins }: PinnedSceneProps) {
  const { element, width, height } = useSize<HTMLDivElement>();
  return (
    <>
      {/* biome-ignore lint/a11y/noStaticElementInteractions: roles have buttons of their own below */}
      {/* biome-ignore lint/a11y/useKeyWithClickEvents: as above */}
      <div
        ref={element}
        onClick={onPress}
        className={clsx('overflow-hidden rounded-md border border-hair', onPress && 'cursor-pointer')}
      >
        <SceneRoot Draw={Draw} text={text} states={false} style={style} />
      </div>
      {element.current && pins(element.current, `${width} ${height}`)}
    </>
  );
}

type PinsProps = Parameters<typeof useNotedParts>[0] & { onNote: ((on: Noted) => void) | undefined };

/** Where something was said; a press leads to it. */
function Pins({ onNote, ...scene }: PinsProps) {
  const noted = useNotedParts(scene);
  if (!onNote) return null;
  return noted.map((one) => (
    <NotePin
      key={saidOfPin(one)}
      count={countOf(one)}
      aria-label={saidOfPin(one)}
      title={saidOfPin(one)}
      className="absolute z-10 before:absolute before:-inset-2"
      style={one.at}
      onClick={() => onNote(one.things[0]!.on)}
    />
  ));
}
