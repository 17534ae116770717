import { SCENE_USES } from '@mint-lamp/core/document/scenes/scene-uses';
import type { CastUse } from '@mint-lamp/core/system/scenes/cast';
import { useCast, useScenesPaints } from '../../../scene/use-scene.ts';
import { useProjectDocument } from '../../../store/selectors.ts';
import { Button } from '../../../ui/button.tsx';
import { part } from '../../../ui/part.tsx';
import { Popover } from '../../../ui/popover.tsx';
import { useSeenThemes } from '../use-stage-view.ts';
import { castDoubts, paintName } from './cast-words.ts';

const CastPanel = part(() => import('./cast-panel.tsx'), <div className="h-80 w-[520px]" />);

const namesOf = (uses: readonly CastUse[]) => {
  const [first, ...others] = uses.map(({ use }) => SCENE_USES[use].name);
  return others.length ? `${first} and ${others.length} more` : first;
};

/** What paints scenes, in one line: what is left to say, and the way to say it. */
export function CastLine() {
  const doc = useProjectDocument();
  const uses = useCast();
  const themes = useSeenThemes();
  const painted = useScenesPaints(themes);
  // A link that is broken in a theme, or a gradient where a line needs one colour.
  const lost = themes.flatMap(({ theme }, i) => {
    const without = [...uses.values()].filter(
      ({ use, link }) => link && painted[i]!.paints[use] === undefined,
    );
    return without.length ? [`no colour for ${namesOf(without)} in ${theme.name}: not painted`] : [];
  });
  const { unpainted, standIns, several } = castDoubts(uses);
  const [doubt] = several;
  const told = [
    ...lost,
    ...(unpainted.length ? [`no role for ${namesOf(unpainted)}: not painted`] : []),
    ...(doubt
      ? [
          `${doubt.fits.length} roles could be ${SCENE_USES[doubt.use].name}: ${paintName(doc, doubt)} is taken${several.length > 1 ? `; so for ${several.length - 1} more` : ''}`,
        ]
      : []),
    ...(standIns.length
      ? [
          `no role of its own for ${namesOf(standIns)}: ${paintName(doc, standIns[0]!)} stands in${standIns.length > 1 ? ', and others' : ''}`,
        ]
      : []),
  ];
  return (
    <div className="flex flex-wrap items-center gap-x-3 gap-y-1 px-5 pb-2 text-sm" data-testid="cast-line">
      <p className={unpainted.length || lost.length ? 'min-w-0 text-look' : 'min-w-0 text-quiet'}>
        {told.length ? told.join(' · ') : 'Every use has a role of its own.'}
      </p>
      <Popover label="What paints what" trigger={<Button small>What paints what …</Button>}>
        <CastPanel />
      </Popover>
    </div>
  );
}
