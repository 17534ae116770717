import { slug } from '@mint-lamp/core/document/naming/names';
import type { Noted } from '@mint-lamp/core/document/naming/note-name';
import type { ClientView } from '@mint-lamp/core/exchange/people/client-view';
import clsx from 'clsx';
import { GuestSection } from '../guest-frame.tsx';
import { NoteButton } from '../noting/note-button.tsx';
import { Code } from './codes.tsx';
import { CssToCopy } from './css-to-copy.tsx';

interface GradientsProps {
  client: ClientView;
  codes: boolean;
  onNote: ((on: Noted) => void) | undefined;
  /** Whether it is one gradient by itself. */
  alone: boolean;
}

/** Gradients in every theme in which they are others, large. */
export function Gradients({ client: { themes }, codes, onNote, alone }: GradientsProps) {
  const all = themes.flatMap(({ name: theme, gradients }) =>
    gradients.filter(({ same }) => !same).map((gradient) => ({ ...gradient, theme })),
  );
  if (!all.length) return null;
  const isOne = all.every(({ theme }) => theme === all[0]!.theme);
  const css = all
    .map(
      ({ name, css: value, theme }) =>
        `${isOne ? '' : `/* ${theme.replaceAll('*/', '')} */\n`}--${slug(name)}: ${value};`,
    )
    .join('\n');
  return (
    <>
      <GuestSection title={alone ? all[0]!.name : 'Gradients'}>
        <ul className={clsx('grid gap-5', !alone && 'md:grid-cols-2 lg:grid-cols-3')}>
          {all.map(({ id, name, css: value, theme }) => (
            <li key={`${theme} ${id}`} className="min-w-0">
              <div
                className={clsx('rounded-md border border-hair', alone ? 'h-[46vh]' : 'h-36')}
                style={{ background: value }}
              />
              <div className="flex items-center gap-1">
                <span className="min-w-0 flex-1 text-base">
                  <b className="font-semibold break-words">{name}</b>
                  {!isOne && <span className="text-quiet"> in {theme}</span>}
                </span>
                <NoteButton on={{ kind: 'gradient', gradient: id }} name={name} onNote={onNote} />
              </div>
              <Code text={value} on={codes} />
            </li>
          ))}
        </ul>
      </GuestSection>
      {alone && <CssToCopy css={css} />}
    </>
  );
}
