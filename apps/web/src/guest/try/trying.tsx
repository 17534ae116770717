import type { ProjectDocument } from '@mint-lamp/core/document/document';
import type { SharedView } from '@mint-lamp/core/wire/shares';
import { useDeferredValue, useState } from 'react';
import { SceneRoot } from '../../scene/scene-root.tsx';
import { SCENES } from '../../scene/scenes.ts';
import { Button } from '../../ui/button.tsx';
import { SwitchGroup } from '../../ui/switch-group.tsx';
import { GuestSection } from '../guest-frame.tsx';
import { useClientView, usePaintedThemes, useSystem } from '../shown-system.ts';
import { Bases } from './bases.tsx';
import { Links } from './links.tsx';
import { SendBack } from './send-back.tsx';
import { useTrial } from './use-trial.ts';
import { WhatChanges } from './what-changes.tsx';

interface TryingProps {
  token: string;
  view: SharedView;
  document: ProjectDocument;
}

/** A copy of one's own to try on: nobody else's colours change, and what comes of it can be sent back. */
export default function Trying({ token, view, document }: TryingProps) {
  const trial = useTrial(view.id, document);
  const system = useSystem(trial.document);
  const before = useSystem(document);
  const { themes, text } = usePaintedThemes(system, token);
  const [chosen, setChosen] = useState(themes[0]!.id);
  const theme = themes.find(({ id }) => id === chosen) ?? themes[0]!;
  const { subject } = view;
  const [scene, setScene] = useState<string>(subject.kind === 'scene' ? subject.scene : SCENES[0].id);
  const drawn = SCENES.find(({ id }) => id === scene) ?? SCENES[0];
  // What is counted follows behind what is dragged.
  const settled = useDeferredValue(system);
  const [now, then] = [
    useClientView(settled, view.at, view.revision),
    useClientView(before, view.at, view.revision),
  ];
  return (
    <div className="gap-8 lg:grid lg:grid-cols-[minmax(0,1fr)_380px]">
      <div className="sticky top-0 z-10 -mx-4 bg-ground px-4 pt-1 pb-3 lg:static lg:mx-0 lg:px-0 lg:pt-0">
        <div className="lg:sticky lg:top-4">
          <div className="mb-2 flex flex-wrap items-center gap-2">
            {themes.length > 1 && (
              <SwitchGroup
                label="Theme"
                value={theme.id}
                options={themes.map(({ id, name }) => ({ value: id, label: name }))}
                onChange={setChosen}
              />
            )}
            {subject.kind !== 'scene' && (
              <select
                aria-label="Page"
                value={scene}
                onChange={(event) => setScene(event.target.value)}
                className="h-8 min-w-0 rounded-md border border-control bg-raised px-1.5"
              >
                {SCENES.map(({ id, name }) => (
                  <option key={id} value={id}>
                    {name}
                  </option>
                ))}
              </select>
            )}
          </div>
          <div
            data-specimen
            data-scene-theme={theme.name}
            className="max-h-[38vh] overflow-auto rounded-md border border-hair lg:max-h-[80vh]"
          >
            <SceneRoot Draw={drawn.Draw} text={text} states={false} style={theme.style} />
          </div>
        </div>
      </div>
      <div>
        <GuestSection
          title="Try other colours"
          says="This is your own copy: nobody else’s colours change. Send it back when you like it."
        >
          <div className="flex gap-2">
            <Button className="h-10" disabled={!trial.canUndo} onClick={trial.undo}>
              Undo
            </Button>
            <Button className="h-10" disabled={!trial.commands.length} onClick={trial.startOver}>
              Start over
            </Button>
          </div>
          {trial.refused.length > 0 && (
            <p role="status" className="mt-3 text-look">
              The project has changed meanwhile, and{' '}
              {trial.refused.length === 1 ? 'one change' : 'some changes'} of yours no longer fit:{' '}
              {trial.refused[0]!.reason}
            </p>
          )}
        </GuestSection>
        <WhatChanges then={then} now={now} trial={trial} />
        <Bases system={system} trial={trial} />
        <Links system={system} theme={theme.id} themeName={theme.name} trial={trial} />
        <SendBack token={token} view={view} trial={trial} />
      </div>
    </div>
  );
}
