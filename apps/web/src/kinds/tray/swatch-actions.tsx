import { dropCommand, groupCommand } from '@mint-lamp/core/document/tray/arrangement';
import { ArrowLeft, ArrowRight } from 'lucide-react';
import { useNavigate } from 'react-router';
import { addressOf } from '../../addresses.ts';
import { useEditing } from '../../store/editing.ts';
import { useDocumentPart, useProjectId } from '../../store/selectors.ts';
import { Button } from '../../ui/button.tsx';
import { IconButton } from '../../ui/icon-button.tsx';
import { TextField } from '../../ui/text-field.tsx';
import { useNewFamily } from '../families/use-new-family.ts';
import type { SelectionOf } from '../lit-color.ts';

const WAYS = [
  { way: -1, says: 'Move it earlier in the tray', Icon: ArrowLeft },
  { way: 1, says: 'Move it later in the tray', Icon: ArrowRight },
] as const;

/** What can be done with a selected tray colour besides colouring it. */
export function SwatchActions({ selection }: { selection: SelectionOf<'swatch'> }) {
  const id = useProjectId();
  const tray = useDocumentPart('tray');
  const { edit, tryEdit } = useEditing();
  const navigate = useNavigate();
  const newFamily = useNewFamily();
  const swatch = tray.find((item) => item.id === selection.swatch);
  if (!swatch) return null;
  const inGroup = tray.filter(({ group }) => group === swatch.group);
  const beside = (way: -1 | 1) => inGroup[inGroup.indexOf(swatch) + way];
  const move = (way: -1 | 1) => {
    const other = beside(way);
    if (other) edit(dropCommand(tray, new Set([swatch.id]), other));
  };
  return (
    <section aria-label="Tray colour" className="flex flex-col gap-2 border-t border-hair pt-2">
      <TextField
        label="Name"
        value={swatch.name}
        onCommit={(name) =>
          name ? tryEdit({ type: 'renameSwatch', swatch: swatch.id, name }) : 'Give it a name'
        }
      />
      <TextField
        label="Group"
        value={swatch.group}
        onCommit={(group) => tryEdit(groupCommand(tray, new Set([swatch.id]), group))}
      />
      <div className="flex flex-wrap gap-1.5">
        <Button
          look="primary"
          onClick={() => {
            const family = newFamily(swatch.color, swatch.name);
            if (family) navigate(addressOf(id, 'grow', family));
          }}
        >
          Grow a family
        </Button>
        <Button look="danger" onClick={() => edit({ type: 'removeSwatch', swatch: swatch.id })}>
          Remove
        </Button>
        <span className="ml-auto flex">
          {WAYS.map(({ way, says, Icon }) => (
            <IconButton key={way} label={says} disabled={!beside(way)} onClick={() => move(way)}>
              <Icon aria-hidden className="size-4" />
            </IconButton>
          ))}
        </span>
      </div>
    </section>
  );
}
