import type { Family } from '@mint-lamp/core/document/families/family';
import {
  type Following,
  followedBy,
  followingWords,
  MOST_TINT,
} from '@mint-lamp/core/document/links/following';
import { cut } from '@mint-lamp/core/edits/families/family-edits';
import { memo, useMemo, useState } from 'react';
import { useStore } from 'react-redux';
import { useEditing } from '../../../store/editing.ts';
import { selectSystem, useDocumentPart } from '../../../store/selectors.ts';
import type { AppStore } from '../../../store/store.ts';
import { Button } from '../../../ui/button.tsx';
import { Choice } from '../../../ui/choice.tsx';
import { HelpMark } from '../../../ui/help-mark.tsx';
import { Popover } from '../../../ui/popover.tsx';
import { Setting } from '../growth/setting.tsx';

type By = Following['by'] | 'own';

const WAYS: readonly { value: By; label: string }[] = [
  { value: 'own', label: 'Its own colour' },
  { value: 'turn', label: 'Another’s hue, turned' },
  { value: 'between', label: 'Between two others' },
  { value: 'tint', label: 'Its own lightness, tinted by another' },
];

/** Turns that have a name in the trade. */
const TURNS = [
  { turn: 180, label: 'Complement' },
  { turn: 150, label: '150°' },
  { turn: -150, label: '−150°' },
  { turn: 120, label: '120°' },
  { turn: -120, label: '−120°' },
  { turn: 30, label: '30°' },
  { turn: -30, label: '−30°' },
] as const;

const TURN = { name: 'Turn of hue', min: -180, max: 180, scale: 1, unit: '°', decimals: 0 } as const;
const LIGHTER = { name: 'Lighter by', min: -60, max: 60, scale: 100, unit: '%', decimals: 1 } as const;
const SHARE = { name: 'Of the second', min: 0, max: 100, scale: 100, unit: '%', decimals: 0 } as const;
const CHROMA = {
  name: 'Chroma',
  min: 0,
  max: MOST_TINT * 1000,
  scale: 1000,
  unit: '‰',
  decimals: 0,
} as const;

interface FollowChoiceProps {
  id: string;
  name: string;
  follows: Following | null;
}

/** What the base of a family comes of: a colour of its own, or the bases of others, which it follows until it is cut. */
export const FollowChoice = memo(function FollowChoice({ id, name, follows }: FollowChoiceProps) {
  const families = useDocumentPart('families');
  const store = useStore() as AppStore;
  const { edit, tryEdit, preview } = useEditing();
  const [fault, setFault] = useState<string | null>(null);
  const dependents = useMemo(() => followingAll(families, id), [families, id]);
  const others = families.filter((one) => one.id !== id && !dependents.has(one.id));
  const nameOf = (other: string) => families.find((one) => one.id === other)?.name ?? 'a removed family';
  const options = others.map((one) => ({ value: one.id, label: one.name }));
  const set = (next: Following) => {
    setFault(tryEdit({ type: 'setFollows', family: id, follows: next }));
  };
  const look = (next: Following) => preview({ type: 'setFollows', family: id, follows: next });
  const cutIt = () =>
    edit({
      type: 'batch',
      label: `cut ${name} from what it follows`,
      commands: cut(selectSystem(store.getState()), id),
    });
  const choose = (by: By) => {
    const first = follows?.family ?? others[0]!.id;
    if (by === 'own') {
      if (follows) cutIt();
    } else if (by === 'turn') set({ by, family: first, turn: 180, lightness: 0, chroma: 0 });
    else if (by === 'tint') set({ by, family: first, chroma: 0.015 });
    else set({ by, family: first, other: (others[1] ?? others[0])!.id, share: 0.5 });
  };
  return (
    <div data-help="base">
      <p className="mb-0.5 flex items-center justify-between text-sm text-quiet">
        Base <HelpMark of="base" about="Base" className="-mt-1" />
      </p>
      <div className="flex items-center gap-1">
        <Popover
          label={`What the base of ${name} follows`}
          trigger={
            <Button
              disabled={!others.length}
              title={others.length ? undefined : 'There is no other family that it could follow'}
            >
              {follows ? capital(followingWords(follows, nameOf)) : 'Its own colour …'}
            </Button>
          }
        >
          <div className="flex w-80 flex-col gap-2">
            <Choice
              label={`The base of ${name} is`}
              value={follows?.by ?? 'own'}
              options={WAYS.filter(({ value }) => value !== 'between' || others.length > 1)}
              onChange={choose}
            />
            {follows && (
              <Choice
                label={follows.by === 'between' ? 'First family' : 'Family'}
                value={follows.family}
                options={options}
                onChange={(other) => set({ ...follows, family: other })}
              />
            )}
            {follows && <Settings {...{ follows, options, look, set }} onGiveBack={() => preview(null)} />}
            {fault && (
              <p role="alert" className="text-sm text-fail">
                {fault}
              </p>
            )}
            {dependents.size > 0 && (
              <p className="text-sm text-quiet">
                It cannot follow {[...dependents].map(nameOf).join(', ')}, which{' '}
                {dependents.size === 1 ? 'follows' : 'follow'} it.
              </p>
            )}
            <p className="text-sm text-quiet">
              {follows
                ? 'It moves with what it follows, until you cut it loose.'
                : 'A base that follows others moves with them.'}
            </p>
          </div>
        </Popover>
        {follows && (
          <Button look="quiet" title="Keeps the colour it has now" onClick={cutIt}>
            Cut
          </Button>
        )}
      </div>
    </div>
  );
});

interface SettingsProps<F extends Following = Following> {
  follows: F;
  /** Families that can be followed. */
  options: readonly { readonly value: string; readonly label: string }[];
  look: (next: Following) => void;
  set: (next: Following) => void;
  onGiveBack: () => void;
}

/** How it follows: each way of following has settings of its own. */
function Settings({ follows, ...rest }: SettingsProps) {
  const { look, set, options, onGiveBack } = rest;
  if (follows.by === 'turn') return <TurnSettings follows={follows} {...rest} />;
  if (follows.by === 'tint')
    return (
      <Setting
        {...CHROMA}
        value={follows.chroma}
        onPreview={(chroma) => look({ ...follows, chroma })}
        onCommit={(chroma) => set({ ...follows, chroma })}
        onGiveBack={onGiveBack}
      />
    );
  return (
    <>
      <Choice
        label="Second family"
        value={follows.other}
        options={options}
        onChange={(other) => set({ ...follows, other })}
      />
      <Setting
        {...SHARE}
        value={follows.share}
        onPreview={(share) => look({ ...follows, share })}
        onCommit={(share) => set({ ...follows, share })}
        onGiveBack={onGiveBack}
      />
    </>
  );
}

function TurnSettings({ follows, look, set, onGiveBack }: SettingsProps<Extract<Following, { by: 'turn' }>>) {
  return (
    <>
      <div className="flex flex-wrap gap-1">
        {TURNS.map(({ turn, label }) => (
          <Button
            key={turn}
            small
            aria-pressed={follows.turn === turn}
            className={follows.turn === turn ? 'ring-2 ring-main' : ''}
            onClick={() => set({ ...follows, turn })}
          >
            {label}
          </Button>
        ))}
      </div>
      <Setting
        {...TURN}
        value={follows.turn}
        onPreview={(turn) => look({ ...follows, turn })}
        onCommit={(turn) => set({ ...follows, turn })}
        onGiveBack={onGiveBack}
      />
      <Setting
        {...LIGHTER}
        value={follows.lightness}
        onPreview={(lightness) => look({ ...follows, lightness })}
        onCommit={(lightness) => set({ ...follows, lightness })}
        onGiveBack={onGiveBack}
      />
    </>
  );
}

/** The families that follow one, directly or through others: it cannot follow them. */
function followingAll(families: readonly Family[], id: string): ReadonlySet<string> {
  const found = new Set([id]);
  for (let before = 0; before < found.size; ) {
    before = found.size;
    for (const one of families)
      if (followedBy(one.follows).some((other) => found.has(other))) found.add(one.id);
  }
  found.delete(id);
  return found;
}

const capital = (text: string) => text.charAt(0).toUpperCase() + text.slice(1);
