import { describeColor } from '@mint-lamp/core/color/describe';
import { readColor } from '@mint-lamp/core/color/parse';
import { emptyDocument } from '@mint-lamp/core/document/document';
import type { Round } from '@mint-lamp/core/document/rounds/round';
import { NEW_THEMES } from '@mint-lamp/core/document/themes/new-themes';
import type { ProposedSystem } from '@mint-lamp/core/edits/rounds/propose-systems';
import clsx from 'clsx';
import { useEffect, useMemo, useState } from 'react';
import { useJob } from '../jobs/use-job.ts';
import { SceneRoot } from '../scene/scene-root.tsx';
import { sceneStyle } from '../scene/scene-style.ts';
import { sceneText } from '../scene/scene-text.ts';
import { Landing } from '../scene/scenes/landing.tsx';
import { Small } from '../scene/small.tsx';
import { Button } from '../ui/button.tsx';
import { Failure } from '../ui/notice.tsx';
import { useSize } from '../ui/use-size.ts';
import type { WayProps } from './to-begin-with.ts';

const EMPTY = emptyDocument('', NEW_THEMES);
const TEXT = sceneText('Your product', 'Start', {});
const NONE: readonly ProposedSystem[] = [];
const COLORS = 5;
/** Px between two ideas, what stands around the page of one, and the width of a list in which two stand abreast, not three. */
const GAP = 8;
const AROUND = 10;
const NARROW = 380;
/** The height of an idea's page to its width. */
const TALL = 0.7;

const roundOf = (seed: number): Round => ({
  id: `begin-${seed}`,
  seed,
  count: COLORS,
  stray: 0.6,
  kept: [],
  free: [],
  way: 'fresh',
  of: [],
});

const newSeed = () => crypto.getRandomValues(new Uint32Array(1))[0]! >>> 1;

/** From nothing: nine ideas to choose from, and nine others. */
export default function FromNothing({ onGiven }: WayProps) {
  const [seed, setSeed] = useState(newSeed);
  const input = useMemo(() => ({ document: EMPTY, round: roundOf(seed) }), [seed]);
  const job = useJob('propose', input);
  const ideas = job.result ?? NONE;
  const [chosen, setChosen] = useState<ProposedSystem | null>(null);
  const given = useMemo(
    () =>
      chosen
        ? {
            given: {
              of: 'colors' as const,
              colors: chosen.colors.map((color) => ({ color })),
              level: 'AA' as const,
            },
          }
        : null,
    [chosen],
  );
  useEffect(() => onGiven(given), [given, onGiven]);
  const { element, width } = useSize<HTMLUListElement>();
  const abreast = width < NARROW ? 2 : 3;
  const each = Math.floor((width - GAP * (abreast - 1)) / abreast) - AROUND;
  return (
    <section aria-label="Ideas" aria-busy={job.busy}>
      <p className="mb-2 flex items-center gap-2">
        <span className="flex-1 text-quiet">
          Press the one that feels nearest; all of it can change later.
        </span>
        <Button small disabled={job.busy} onClick={() => setSeed(newSeed())}>
          Show nine others
        </Button>
      </p>
      {job.fault && <Failure fault={job.fault} onAgain={job.again} />}
      <ul
        ref={element}
        className={clsx('grid', job.busy && 'opacity-60')}
        style={{ gap: GAP, gridTemplateColumns: `repeat(${abreast}, minmax(0, 1fr))` }}
      >
        {(width > 0 ? ideas : NONE).map((idea, i) => (
          <li key={idea.colors.join()}>
            <button
              type="button"
              aria-pressed={idea === chosen}
              aria-label={`Idea ${i + 1}: ${idea.colors.map((color) => describeColor(readColor(color))).join(', ')}`}
              onClick={() => setChosen(idea)}
              className={clsx(
                'block w-full rounded-md border p-1',
                idea === chosen ? 'border-main bg-pressed' : 'border-transparent hover:bg-sunken',
              )}
            >
              <Small width={each} height={Math.round(each * TALL)} page={760}>
                <SceneRoot Draw={Landing} text={TEXT} style={sceneStyle(idea.page)} states={false} />
              </Small>
              <span data-specimen className="mt-1 flex h-3.5 overflow-hidden rounded-[3px]">
                {idea.colors.map((color) => (
                  <span key={color} className="flex-1" style={{ background: color }} />
                ))}
              </span>
            </button>
          </li>
        ))}
      </ul>
      {!ideas.length && job.busy && <p className="text-quiet">Thinking of nine …</p>}
    </section>
  );
}
