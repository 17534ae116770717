import { EXEMPT_NAMES, EXEMPT_USES, type ExemptUse, type Pair } from '@mint-lamp/core/document/pairs/pair';
import { useState } from 'react';
import { useEditing } from '../../../store/editing.ts';
import { Choice } from '../../../ui/choice.tsx';
import { TextField } from '../../../ui/text-field.tsx';

const HAS_TO = '';
const OPTIONS = [
  { value: HAS_TO, label: 'has to reach it' },
  ...EXEMPT_USES.map((use) => ({ value: use, label: `exempt: ${EXEMPT_NAMES[use]}` })),
];

/** Whether a pair has to reach its target: WCAG lets some uses off, and the reason is reported. */
export function ExemptSettings({ pair }: { pair: Pair }) {
  const { edit } = useEditing();
  const [chosen, setChosen] = useState<ExemptUse | null>(null);
  const as = chosen ?? pair.exempt?.as ?? null;
  const set = (exempt: Pair['exempt'] | null) =>
    edit({ type: 'setPair', pair: pair.id, change: { exempt: exempt ?? null } });
  return (
    <>
      <Choice
        label="By WCAG it"
        value={as ?? HAS_TO}
        options={OPTIONS}
        onChange={(value) => {
          const next = (value || null) as ExemptUse | null;
          // Without a reason nothing is let off.
          setChosen(next && !pair.exempt ? next : null);
          if (!next && pair.exempt) set(null);
          if (next && pair.exempt) set({ ...pair.exempt, as: next });
        }}
      />
      {as && (
        <TextField
          label="Reason, for the report"
          value={pair.exempt?.reason ?? ''}
          whileTyping={() => (pair.exempt ? null : 'Press Enter to save')}
          onCommit={(reason) => {
            if (!reason) return 'A reason is needed';
            if (set({ as, reason })) setChosen(null);
            return null;
          }}
        />
      )}
      {as && !pair.exempt && (
        <p role="status" className="col-span-full text-sm text-quiet">
          It counts as exempt once you give a reason.
        </p>
      )}
    </>
  );
}
