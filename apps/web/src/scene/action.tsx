import type { SceneUse } from '@mint-lamp/core/document/scenes/scene-uses';
import clsx from 'clsx';
import { createContext, useContext } from 'react';
import { Part } from './part.tsx';

/** Whether scenes show all states of what can be pressed at once. */
export const StatesShown = createContext(false);

type State = 'default' | 'hover' | 'focus' | 'pressed' | 'disabled';

interface Look {
  readonly ground: SceneUse;
  readonly text: SceneUse;
  readonly ring?: SceneUse;
}

const ACTION: Readonly<Partial<Record<State, Look>>> = {
  default: { ground: 'action', text: 'action-text' },
  hover: { ground: 'action-hover', text: 'action-text' },
  focus: { ground: 'action', text: 'action-text', ring: 'focus' },
  pressed: { ground: 'action-pressed', text: 'action-text' },
  disabled: { ground: 'off', text: 'off-text' },
};
const ACCENT: Readonly<Partial<Record<State, Look>>> = {
  default: { ground: 'accent', text: 'accent-text' },
  focus: { ground: 'accent', text: 'accent-text', ring: 'focus' },
  disabled: { ground: 'off', text: 'off-text' },
};

/** What an action stands on is another use's under the pointer, by a rule of the style sheet. */
const UNDER_THE_POINTER = {
  background: 'var(--s-action-text-image, none) text, var(--under, var(--s-action, transparent))',
};

interface ActionProps {
  children: string;
  accent?: boolean;
  /** It has the focus, as one thing on a page has. */
  focused?: boolean;
  /** What its states are told with, where it does not stand on a page. */
  caption?: SceneUse;
  className?: string;
}

/** Something that is pressed. Under the pointer it shows what it then is; all states at once where they are shown. */
export function Action({ children, accent = false, focused = false, caption, className }: ActionProps) {
  const all = useContext(StatesShown);
  const looks = accent ? ACCENT : ACTION;
  const shape = clsx('inline-block rounded-md px-4 py-1.5 font-semibold whitespace-nowrap', className);
  if (!all) {
    const look = looks[focused ? 'focus' : 'default']!;
    return (
      <Part
        {...look}
        className={clsx(shape, !accent && 'scene-action')}
        {...(accent ? {} : { style: UNDER_THE_POINTER })}
      >
        {children}
      </Part>
    );
  }
  return (
    <div className="flex flex-wrap gap-x-4 gap-y-1.5">
      {Object.entries(looks).map(([state, look]) => (
        <div key={state} className="text-center">
          <Part {...look} className={shape}>
            {children}
          </Part>
          <Caption use={caption}>{state}</Caption>
        </div>
      ))}
    </div>
  );
}

/** What state something is in, under it. */
export const Caption = ({ children, use = 'quiet' }: { children: string; use?: SceneUse | undefined }) => (
  <Part text={use} className="pt-1 text-[12px]">
    {children}
  </Part>
);

/** A row of links to other pages; the first is the one that is open. */
export function Menu({ items }: { items: readonly string[] }) {
  const all = useContext(StatesShown);
  return (
    <div className="flex flex-wrap items-center gap-x-5 gap-y-1">
      {items.map((item, i) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: a fixed row, whose words may be the same
        <div key={i} className="text-center">
          <Part
            text={i === 0 ? 'link' : 'text'}
            ring={all && i === 1 ? 'focus' : undefined}
            className={clsx(
              'rounded-sm underline-offset-4 hover:underline',
              (i === 0 || (all && i === 2)) && 'underline',
            )}
          >
            {item}
          </Part>
          {all && <Caption>{['selected', 'focus', 'hover'][i]!}</Caption>}
        </div>
      ))}
    </div>
  );
}
