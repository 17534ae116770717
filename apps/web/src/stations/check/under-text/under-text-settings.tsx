import { writeRoleName } from '@mint-lamp/core/document/naming/role-name';
import type { Pair } from '@mint-lamp/core/document/pairs/pair';
import { sampleOf } from '@mint-lamp/core/judged/pairs/sample';
import { useEditing } from '../../../store/editing.ts';
import { useProjectDocument, useSystem } from '../../../store/selectors.ts';
import { Choice } from '../../../ui/choice.tsx';
import { onGradient, onPicture } from './new-backdrop.ts';

const NOTHING = '';

/** What lies between the ground of a pair and its text: a gradient or a picture, and a veil. */
export function UnderTextSettings({ pair }: { pair: Pair }) {
  const { edit } = useEditing();
  const document = useProjectDocument();
  const { themes } = useSystem();
  const { gradients, pictures, roles } = document;
  const { backdrop, veil } = pair;
  const isTranslucent = (role: string) =>
    [...themes.values()].some((theme) => (theme.roles.get(role)?.color?.alpha ?? 1) < 1);
  const veils = roles.filter(({ id }) => id === veil || (id !== pair.foreground && isTranslucent(id)));
  const value =
    backdrop?.kind === 'gradient'
      ? `gradient ${backdrop.gradient}`
      : backdrop
        ? `picture ${backdrop.picture}`
        : NOTHING;
  const options = [
    { value: NOTHING, label: 'just its ground' },
    ...gradients.map(({ id, name }) => ({ value: `gradient ${id}`, label: name, group: 'Gradients' })),
    ...pictures.map(({ id, name }) => ({ value: `picture ${id}`, label: name, group: 'Pictures' })),
  ];
  if (value && !options.some((option) => option.value === value))
    options.push({ value, label: 'something that was removed' });
  const choose = (next: string) => {
    const [kind, id] = next.split(' ');
    const words = sampleOf(document, pair);
    const picture = pictures.find((one) => one.id === id);
    const change =
      kind === 'gradient' ? onGradient(id!, pair, words) : picture ? onPicture(picture, pair, words) : null;
    edit({ type: 'setPair', pair: pair.id, change: { backdrop: change } });
  };
  return (
    <>
      <Choice label="Under the text" value={value} options={options} onChange={choose} />
      {(veils.length > 0 || veil) && (
        <Choice
          label="Veil over that"
          help="veil"
          value={veil ?? NOTHING}
          options={[
            { value: NOTHING, label: 'none' },
            ...veils.map((role) => ({ value: role.id, label: writeRoleName(role) })),
            ...(veil && !roles.some(({ id }) => id === veil)
              ? [{ value: veil, label: 'a removed role' }]
              : []),
          ]}
          onChange={(next) =>
            edit({ type: 'setPair', pair: pair.id, change: { veil: next === NOTHING ? null : next } })
          }
        />
      )}
    </>
  );
}
