import type { SceneUse } from '@mint-lamp/core/document/scenes/scene-uses';
import clsx from 'clsx';
import { Action, Caption, StatesShown } from '../action.tsx';
import { Part } from '../part.tsx';
import type { SceneText } from '../scene-text.ts';
import { TopBar } from './top-bar.tsx';

interface FieldProps {
  label: string;
  state: string;
  value?: string;
  note?: string;
  line?: SceneUse;
  ground?: SceneUse;
  text?: SceneUse;
  focused?: boolean;
  wrong?: boolean;
}

function Field({ label, state, value, note, focused, wrong = false, ...paint }: FieldProps) {
  const { line = 'edge', ground = 'raised', text = 'text' } = paint;
  return (
    <div>
      <div className="flex justify-between gap-2">
        <Part text="text" className="font-semibold">
          {label}
        </Part>
        <Caption>{state}</Caption>
      </div>
      <Part
        ground={ground}
        line={line}
        className={clsx('rounded-md', wrong ? 'border-2' : 'border')}
        ring={focused ? 'focus' : undefined}
      >
        <Part text={text} className="min-h-9 px-3 py-1.5">
          {value}
        </Part>
      </Part>
      {note && (
        <Part text={wrong ? 'danger-text' : 'quiet'} className="pt-1 text-[14px]">
          {wrong ? `▲ ${note}` : note}
        </Part>
      )}
    </div>
  );
}

const Mark = ({ on, round, off }: { on: boolean; round: boolean; off: boolean }) => (
  <Part
    ground={off ? 'off' : on ? 'action' : 'raised'}
    line={off ? 'line' : on ? 'action' : 'edge'}
    className={clsx('grid size-5 place-items-center border-2', round ? 'rounded-full' : 'rounded-[4px]')}
  >
    {on && <Part ground="action-text" className={clsx('size-2', round ? 'rounded-full' : 'rounded-[1px]')} />}
  </Part>
);

function Pick({
  children,
  on = false,
  round = false,
  off = false,
}: {
  children: string;
  on?: boolean;
  round?: boolean;
  off?: boolean;
}) {
  return (
    <div className="flex items-center gap-2.5">
      <Mark on={on} round={round} off={off} />
      <Part text={off ? 'off-text' : 'text'}>{children}</Part>
    </div>
  );
}

/** A form with all its states: default, focus, error, disabled, selected. */
export function Form({ text }: { text: SceneText }) {
  return (
    <Part ground="page" className="min-h-full text-[16px]">
      <TopBar text={text} />
      <div className="mx-auto max-w-[820px] p-7 @max-[640px]:px-4">
        <Part text="text" className="mb-4 text-[28px] leading-tight font-bold">
          {text.formTitle}
        </Part>
        <div className="grid gap-x-6 gap-y-4 @min-[640px]:grid-cols-2">
          <Field label={text.field1} state="default" value={text.entry1} />
          <Field label={text.field2} state="focus" value={text.entry2} note={text.fieldHint} focused />
          <Field
            label={text.field2}
            state="error"
            value={text.entry2}
            note={text.fieldFault}
            line="danger-text"
            wrong
          />
          <Field
            label={text.field3}
            state="disabled"
            value={text.time1}
            ground="off"
            line="line"
            text="off-text"
          />
        </div>
        <div className="mt-5 flex flex-wrap gap-x-8 gap-y-2">
          <Pick round on>
            {text.choice1}
          </Pick>
          <Pick round>{text.choice2}</Pick>
          <Pick round off>
            {text.choice3}
          </Pick>
          <Pick on>{text.consent}</Pick>
        </div>
        <Part line="line" className="mt-5 border-t pt-4">
          <StatesShown value={true}>
            <Action>{text.action}</Action>
          </StatesShown>
        </Part>
      </div>
    </Part>
  );
}
