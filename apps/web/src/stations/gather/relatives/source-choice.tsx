import { canonical } from '@mint-lamp/core/color/write';
import { useState } from 'react';
import { useDocumentPart } from '../../../store/selectors.ts';
import { Button } from '../../../ui/button.tsx';
import { ColorChip } from '../../../ui/color-chip.tsx';
import { colorTyping, takeTyped } from '../../../ui/color-text.ts';
import { Popover } from '../../../ui/popover.tsx';
import { TextField } from '../../../ui/text-field.tsx';

/** Chooses the colour whose relatives are looked at: a family's base, one of the tray, or any that is typed. */
export function SourceChoice({ onChoose }: { onChoose: (color: string) => void }) {
  const families = useDocumentPart('families');
  const tray = useDocumentPart('tray');
  const [open, setOpen] = useState(false);
  const choose = (color: string) => {
    onChoose(color);
    setOpen(false);
  };
  const groups = [
    { title: 'Families', colors: families.map(({ id, name, base }) => ({ id, name, color: base })) },
    { title: 'Tray', colors: tray.map(({ id, name, color }) => ({ id, name, color })) },
  ].filter(({ colors }) => colors.length);
  return (
    <Popover
      label="Choose the colour"
      align="end"
      open={open}
      onOpenChange={setOpen}
      trigger={<Button look="primary">Choose the colour</Button>}
    >
      <div className="flex w-80 flex-col gap-3">
        <TextField
          label="Any CSS colour"
          value=""
          mono
          {...colorTyping}
          onCommit={(text) =>
            takeTyped(text, (typed) => {
              choose(canonical(typed));
              return null;
            })
          }
        />
        {groups.map(({ title, colors }) => (
          <section key={title} aria-label={title}>
            <h3 className="mb-1 text-sm text-quiet">{title}</h3>
            <ul className="flex flex-wrap gap-1.5">
              {colors.map(({ id, name, color }) => (
                <li key={id}>
                  <button
                    type="button"
                    title={name}
                    aria-label={`Relatives of ${name}`}
                    onClick={() => choose(color)}
                    className="rounded-md"
                  >
                    <ColorChip css={color} className="block size-8" />
                  </button>
                </li>
              ))}
            </ul>
          </section>
        ))}
      </div>
    </Popover>
  );
}
