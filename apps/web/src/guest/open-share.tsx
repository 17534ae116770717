import type { SharedView } from '@mint-lamp/core/wire/shares';
import { useState } from 'react';
import { useSearchParams } from 'react-router';
import { part as fetched } from '../ui/part.tsx';
import { GuestFrame, type GuestPart } from './guest-frame.tsx';
import { CodesSwitch } from './look/codes.tsx';
import { Palette } from './look/palette.tsx';
import { SharedSet } from './look/shared-set.tsx';
import { OpenDocument } from './open-document.tsx';

const Trying = fetched(() => import('./try/trying.tsx'));

/** A share that is open, as what it is of. */
export function OpenShare({ token, view }: { token: string; view: SharedView }) {
  const [search, setSearch] = useSearchParams();
  const [codes, setCodes] = useState(false);
  const { shown, tries, notes } = view;
  const count = 'document' in shown ? shown.document.notes.filter(({ settled }) => !settled).length : 0;
  const parts: GuestPart[] = [
    { id: 'look', label: 'Look' },
    ...(tries ? [{ id: 'try', label: 'Try' } as const] : []),
    ...(notes ? [{ id: 'notes', label: count ? `Notes (${count})` : 'Notes' } as const] : []),
  ];
  const asked = search.get('do');
  const part = parts.find(({ id }) => id === asked)?.id ?? 'look';
  const onPart = (next: GuestPart['id']) => {
    setSearch(next === 'look' ? {} : { do: next });
    window.scrollTo(0, 0);
  };
  return (
    <GuestFrame
      view={view}
      parts={parts}
      part={part}
      onPart={onPart}
      tools={part === 'look' && <CodesSwitch on={codes} onChange={setCodes} />}
    >
      {shown.kind === 'palette' ? (
        <Palette name={shown.name} colors={shown.colors} codes={codes} />
      ) : shown.kind === 'set' ? (
        <SharedSet set={shown.set} codes={codes} />
      ) : part === 'try' ? (
        <Trying key={token} token={token} view={view} document={shown.document} />
      ) : (
        <OpenDocument token={token} view={view} document={shown.document} codes={codes} part={part} />
      )}
    </GuestFrame>
  );
}
