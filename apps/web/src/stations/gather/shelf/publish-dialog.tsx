import { hexOfRgb8 } from '@mint-lamp/core/color/write';
import { grownOn } from '@mint-lamp/core/document/links/growth-ground';
import { groupsOf } from '@mint-lamp/core/document/tray/swatch';
import { writeCss } from '@mint-lamp/core/exchange/css';
import { writeGradient } from '@mint-lamp/core/gradient/write-css';
import { gradientColors } from '@mint-lamp/core/shelf/ready-made';
import { MOST_PALETTE, MOST_SET_COLORS, MOST_WORDS, type NewSet } from '@mint-lamp/core/shelf/shelf-set';
import { paintedGradient } from '@mint-lamp/core/system/gradients/resolved-gradient';
import { paint } from '@mint-lamp/core/system/painted';
import type { ResolvedTheme, System } from '@mint-lamp/core/system/resolve';
import { mayDo } from '@mint-lamp/core/wire/access';
import type { ShelfSet } from '@mint-lamp/core/wire/shelf';
import { useId, useState } from 'react';
import { reasonOf } from '../../../fetching/api.ts';
import { usePublishSetMutation } from '../../../fetching/shelf-api.ts';
import { useTeamsQuery } from '../../../fetching/teams-api.ts';
import { useSystem, useTheme } from '../../../store/selectors.ts';
import { Button } from '../../../ui/button.tsx';
import { Choice } from '../../../ui/choice.tsx';
import { Dialog } from '../../../ui/dialog.tsx';
import { SetBar } from './set-bar.tsx';

/** Something of the project that can be published. */
interface Publishable {
  readonly key: string;
  readonly group: string;
  readonly name: string;
  readonly make: () => Pick<NewSet, 'content' | 'colors'> | null;
}

const opaque = (css: string) => {
  const { r, g, b } = paint(css);
  return hexOfRgb8(r, g, b);
};
const few = (colors: readonly string[]) => [...new Set(colors.map(opaque))].slice(0, MOST_SET_COLORS);

function publishables(system: System, theme: ResolvedTheme): Publishable[] {
  const { document } = system;
  return [
    ...groupsOf(document.tray).map(({ name, swatches }) => ({
      key: `tray ${name}`,
      group: 'Tray',
      name: name || 'The tray’s first colours',
      make: () => ({
        content: {
          kind: 'palette' as const,
          colors: swatches.slice(0, MOST_PALETTE).map((one) => ({ name: one.name, color: one.color })),
        },
        colors: few(swatches.map(({ color }) => color)),
      }),
    })),
    ...[...system.families.values()].map(({ family, base, ground, shades }) => ({
      key: `family ${family.id}`,
      group: 'Families',
      name: family.name,
      make: () => ({
        content: {
          kind: 'family' as const,
          base: base.text,
          // What it grew on belongs to this project: a set has the colour of it.
          growth: grownOn(family.growth, ground ?? '#ffffff'),
          handSet: family.handSet,
        },
        colors: few(shades.map(({ css }) => css)),
      }),
    })),
    ...document.gradients.map(({ id, name }) => ({
      key: `gradient ${id}`,
      group: `Gradients, as in ${theme.theme.name}`,
      name,
      make: () => {
        const resolved = theme.gradients.get(id);
        const painted = resolved && paintedGradient(resolved);
        if (!painted) return null;
        const css = writeGradient(painted);
        return { content: { kind: 'gradient' as const, css }, colors: gradientColors(css) };
      },
    })),
    ...(document.families.length
      ? [
          {
            key: 'system',
            group: 'All of it',
            name: document.name,
            make: () => ({
              content: { kind: 'system' as const, css: writeCss(system) },
              colors: few(document.families.map(({ base }) => base)),
            }),
          },
        ]
      : []),
  ];
}

/** Gives something of the project to the shelf, under a name and words that it is found by. */
export default function PublishDialog({
  onClose,
  onDone,
}: {
  onClose: () => void;
  onDone: (set: ShelfSet) => void;
}) {
  const system = useSystem();
  const theme = useTheme();
  const id = useId();
  const all = publishables(system, theme);
  const [key, setKey] = useState(all[0]?.key ?? '');
  const what = all.find((one) => one.key === key);
  const [name, setName] = useState<string | null>(null);
  const [words, setWords] = useState('');
  const { data: teams = [] } = useTeamsQuery();
  const mayPublish = teams.filter(({ access }) => mayDo(access, 'edit'));
  const [team, setTeam] = useState('');
  const [publishSet, { isLoading: busy, error }] = usePublishSetMutation();
  const made = what?.make() ?? null;
  const shownName = name ?? what?.name ?? '';
  const publish = async () => {
    if (!made) return;
    const { data } = await publishSet({
      name: shownName.trim(),
      words: words.trim(),
      ...made,
      ...(team ? { team } : {}),
    });
    if (data) onDone(data);
  };
  return (
    <Dialog
      open
      onOpenChange={(open) => !open && onClose()}
      title="Publish on the shelf"
      description="Others can find and adopt it. It is a copy, so later changes to this project don’t affect it."
    >
      {what ? (
        <form
          className="flex flex-col gap-3"
          onSubmit={(event) => {
            event.preventDefault();
            void publish();
          }}
        >
          <Choice
            label="What"
            value={key}
            options={all.map(({ key: value, name: label, group }) => ({ value, label, group }))}
            onChange={(next) => {
              setKey(next);
              setName(null);
            }}
          />
          {made ? (
            <SetBar content={made.content} colors={made.colors} />
          ) : (
            <p className="text-fail">
              A stop of this gradient has no colour in this theme, so it cannot be published.
            </p>
          )}
          <div>
            <label htmlFor={`${id}-name`} className="mb-0.5 block text-sm text-quiet">
              Name
            </label>
            <input
              id={`${id}-name`}
              value={shownName}
              maxLength={80}
              onChange={(event) => setName(event.target.value)}
              className="h-8 w-full rounded-md border border-control bg-raised px-2"
            />
          </div>
          <div>
            <label htmlFor={`${id}-words`} className="mb-0.5 block text-sm text-quiet">
              Words to find it by: weather, material, mood, trade …
            </label>
            <input
              id={`${id}-words`}
              value={words}
              maxLength={MOST_WORDS}
              onChange={(event) => setWords(event.target.value)}
              className="h-8 w-full rounded-md border border-control bg-raised px-2"
            />
          </div>
          {mayPublish.length > 0 && (
            <Choice
              label="For whom"
              value={team}
              options={[
                { value: '', label: 'Everybody on this server' },
                ...mayPublish.map(({ id: value, name: of }) => ({ value, label: of })),
              ]}
              onChange={setTeam}
            />
          )}
          {error && (
            <p role="alert" className="text-fail">
              {reasonOf(error)}
            </p>
          )}
          <Button
            type="submit"
            look="primary"
            className="self-start"
            disabled={busy || !made || !shownName.trim()}
          >
            {busy ? 'Publishing …' : 'Publish'}
          </Button>
        </form>
      ) : (
        <p>There is nothing to publish yet: collect some colours first.</p>
      )}
    </Dialog>
  );
}
