import { useState } from 'react';
import { useLocation } from 'react-router';
import { keyLabel, type SingleKeys, setSingleKeys, singleKeys } from '../shortcuts.ts';
import { dialogOpened } from '../store/interface-slice.ts';
import { useAppDispatch, useAppSelector } from '../store/store.ts';
import { Dialog } from '../ui/dialog.tsx';
import { SwitchGroup } from '../ui/switch-group.tsx';
import { SHORTCUT_GROUPS } from './shortcut-list.ts';

const WAYS = [
  { value: 'alone', label: 'The key alone' },
  { value: 'alt', label: keyLabel('With Alt') },
  { value: 'off', label: 'Off' },
] as const satisfies readonly { value: SingleKeys; label: string }[];

/** All shortcuts, those of the station that is open first; and how single keys are pressed, if at all. */
export function ShortcutSheet() {
  const dispatch = useAppDispatch();
  const open = useAppSelector((state) => state.interface.dialog === 'shortcuts');
  const station = useLocation().pathname.split('/')[3];
  const [how, setHow] = useState(singleKeys);
  const groups = [...SHORTCUT_GROUPS].sort((a, b) => Number(b.of === station) - Number(a.of === station));
  const labelOf = (keys: string, isSingle = false) =>
    keyLabel(isSingle && how === 'alt' ? `Alt+${keys}` : keys);
  return (
    <Dialog
      open={open}
      onOpenChange={(next) => dispatch(dialogOpened(next ? 'shortcuts' : null))}
      title="Shortcuts"
      wide
    >
      <div className="mb-4 flex flex-col items-start">
        <p className="mb-1">Keys that act anywhere</p>
        <SwitchGroup
          label="Keys that act anywhere"
          options={WAYS}
          value={how}
          onChange={(next) => {
            setSingleKeys(next as SingleKeys);
            setHow(next as SingleKeys);
          }}
        />
        <p className="mt-1 text-sm text-quiet">
          {how === 'off'
            ? 'Letters and digits do nothing by themselves. The finder opens this sheet again.'
            : 'Where letters are spoken or pressed by accident, ask for Alt, or turn them off.'}
        </p>
      </div>
      <div className="gap-8 sm:columns-2">
        {groups.map(({ of, title, shortcuts }) => {
          const shown = shortcuts.filter(({ isSingle }) => how !== 'off' || !isSingle);
          if (!shown.length) return null;
          return (
            <section key={of} aria-label={title} className="mb-4 break-inside-avoid">
              <h3 className="mb-1 border-b border-hair font-semibold">{title}</h3>
              <dl className="grid grid-cols-[104px_1fr] gap-x-3 gap-y-0.5">
                {shown.map(({ keys, does, isSingle }) => (
                  <div key={`${keys} ${does}`} className="contents">
                    <dt className="font-mono text-sm leading-6">{labelOf(keys, isSingle)}</dt>
                    <dd>{does}</dd>
                  </div>
                ))}
              </dl>
            </section>
          );
        })}
      </div>
    </Dialog>
  );
}
