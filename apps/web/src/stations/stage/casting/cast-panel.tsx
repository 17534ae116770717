import { writeGroup } from '@mint-lamp/core/document/naming/role-name';
import {
  type CastLink,
  SCENE_USE_IDS,
  SCENE_USES,
  type SceneUse,
  sceneUse,
} from '@mint-lamp/core/document/scenes/scene-uses';
import type { CastUse } from '@mint-lamp/core/system/scenes/cast';
import { useCast, useScenePaints } from '../../../scene/use-scene.ts';
import { useEditing } from '../../../store/editing.ts';
import { useProjectDocument, useTheme } from '../../../store/selectors.ts';
import { Choice } from '../../../ui/choice.tsx';
import { ColorChip } from '../../../ui/color-chip.tsx';
import { paintName } from './cast-words.ts';

const HOW: Readonly<Record<CastUse['how'], string>> = {
  chosen: 'chosen',
  name: 'by its name',
  pairs: 'by its pairs',
  'stand-in': 'stands in',
  nothing: 'not painted',
};

/** Those that are in doubt come first. */
const DOUBT: Readonly<Record<CastUse['how'], number>> = {
  nothing: 0,
  'stand-in': 2,
  pairs: 3,
  name: 4,
  chosen: 4,
};
const doubtOf = ({ use, how, fits }: CastUse) => {
  if (how === 'nothing' && sceneUse(use).optional) return DOUBT.chosen;
  return how === 'name' && fits.length > 1 ? 1 : DOUBT[how];
};

/** Every use that scenes ask for, with what paints it: found, or chosen once for all scenes. */
export default function CastPanel() {
  const cast = useCast();
  const uses = SCENE_USE_IDS.map((use) => cast.get(use)!).sort((a, b) => doubtOf(a) - doubtOf(b));
  return (
    <div className="w-[520px]">
      <p className="mb-2 text-sm text-quiet">
        Scenes ask for uses, and find roles by name and pairs. What you choose here holds for all scenes.
      </p>
      <ul aria-label="Uses">
        {uses.map((entry) => (
          <UseRow key={entry.use} entry={entry} />
        ))}
      </ul>
    </div>
  );
}

function UseRow({ entry }: { entry: CastUse }) {
  const { paints } = useScenePaints(useTheme());
  return (
    <li data-use={entry.use} className="grid grid-cols-[20px_168px_1fr_76px] items-center gap-2 py-0.5">
      <ColorChip css={paints[entry.use] ?? null} className="size-5" />
      <span className="truncate" title={SCENE_USES[entry.use].name}>
        {SCENE_USES[entry.use].name}
      </span>
      <UseChoice use={entry.use} />
      <span className={entry.how === 'nothing' ? 'text-sm text-look' : 'text-sm text-quiet'}>
        {entry.how === 'name' && entry.fits.length > 1 ? `1 of ${entry.fits.length}` : HOW[entry.how]}
      </span>
    </li>
  );
}

/** Chooses what paints a use; what was found is offered as such. */
export function UseChoice({ use }: { use: SceneUse }) {
  const doc = useProjectDocument();
  const entry = useCast().get(use)!;
  const { edit } = useEditing();
  const chosen = doc.scenes.cast[use] ?? null;
  const key = (link: CastLink | null) => (link ? Object.values(link).join(' ') : 'found');
  const offered: { readonly link: CastLink | null; readonly label: string; readonly group?: string }[] = [
    {
      link: null,
      label: chosen
        ? 'Automatic'
        : `${paintName(doc, entry)}${entry.how === 'stand-in' ? ', standing in' : ''}`,
    },
    { link: { to: 'nothing' }, label: 'Leave it unpainted' },
    ...(sceneUse(use).wide
      ? [
          ...doc.gradients.map(({ id, name }) => ({
            link: { to: 'gradient', gradient: id } as const,
            label: name,
            group: 'Gradients',
          })),
          ...doc.pictures.map(({ id, name }) => ({
            link: { to: 'picture', picture: id } as const,
            label: name,
            group: 'Pictures',
          })),
        ]
      : []),
    ...doc.roles.map(({ id, group, name }) => ({
      link: { to: 'role', role: id } as const,
      label: group.length ? `${writeGroup(group)}.${name}` : name,
      group: 'Roles',
    })),
  ];
  return (
    <Choice
      label={`What paints ${SCENE_USES[use].name}`}
      hideLabel
      value={key(chosen)}
      options={offered.map(({ link, label, group }) => ({
        value: key(link),
        label,
        ...(group ? { group } : {}),
      }))}
      onChange={(value) => {
        const found = offered.find(({ link }) => key(link) === value);
        if (found) edit({ type: 'castUse', use, link: found.link });
      }}
    />
  );
}
