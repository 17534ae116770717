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
const more = (count: number, one: string, many: string) =>
  count ? `, and ${count} more ${count === 1 ? one : many}` : '';

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
    return without.length
      ? [`Not painted in ${theme.name}, where it has no colour: ${namesOf(without)}`]
      : [];
  });
  const { unpainted, standIns, several } = castDoubts(uses);
  const [doubt] = several;
  const told = [
    ...lost,
    ...(unpainted.length ? [`Not painted, since no role is for it: ${namesOf(unpainted)}`] : []),
    ...(doubt
      ? [
          `${doubt.fits.length} roles could be ${SCENE_USES[doubt.use].name}: ${paintName(doc, doubt)} is used${more(several.length - 1, 'choice like that', 'choices like that')}`,
        ]
      : []),
    ...(standIns.length
      ? [
          `${paintName(doc, standIns[0]!)} stands in for ${SCENE_USES[standIns[0]!.use].name}${more(standIns.length - 1, 'role stands in', 'roles stand in')}`,
        ]
      : []),
  ];
  return (
    <div className="flex flex-wrap items-center gap-x-3 gap-y-1 px-5 pb-2 text-sm" data-testid="cast-line">
      <p className={unpainted.length || lost.length ? 'min-w-0 text-look' : 'min-w-0 text-quiet'}>
        {told.length ? told.join(' · ') : 'Every part of the pages has a role of its own.'}
      </p>
      <Popover
        label="What paints what"
        trigger={
          <Button small data-help="casting">
            What paints what …
          </Button>
        }
      >
        <CastPanel />
      </Popover>
    </div>
  );
}
