import type { SimpleCommand } from '@mint-lamp/core/document/commands/command';
import type { ResolvedFamily } from '@mint-lamp/core/system/families/resolved-family';
import { useState } from 'react';
import { useEditing } from '../../../store/editing.ts';
import { Button } from '../../../ui/button.tsx';

/** Says, also while a base is dragged, how many shades that were set by hand stay where they were. */
export function LeftBehind({ resolved }: { resolved: ResolvedFamily }) {
  const { family, base, shades } = resolved;
  /** The base with which the hand-set shades were last said to be right. */
  const [kept, setKept] = useState(base.text);
  const { edit } = useEditing();
  const stayed = shades.filter(({ handSet }) => handSet);
  if (!stayed.length || base.text === kept) return null;
  const labels = stayed.map(({ label }) => label).reverse();
  const again = () => {
    const commands = labels.map(
      (shade): SimpleCommand => ({ type: 'setShade', family: family.id, shade, color: null }),
    );
    edit({ type: 'batch', label: `reset ${family.name} ${labels.join(', ')} to growth`, commands });
  };
  return (
    <p role="status" className="mt-2 flex flex-wrap items-center gap-x-3 gap-y-1 text-look">
      <span>
        {stayed.length === 1 ? 'One hand-set shade' : `${stayed.length} hand-set shades`} left behind:{' '}
        {labels.join(', ')}.
      </span>
      <Button small onClick={again}>
        Reset {stayed.length === 1 ? 'it' : 'them'} to growth
      </Button>
      <Button small look="quiet" onClick={() => setKept(base.text)}>
        Keep {stayed.length === 1 ? 'it' : 'them'}
      </Button>
    </p>
  );
}
