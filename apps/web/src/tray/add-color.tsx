import { Plus } from 'lucide-react';
import { useState } from 'react';
import { Button } from '../ui/button.tsx';
import { part } from '../ui/part.tsx';
import { Popover } from '../ui/popover.tsx';

const AddColorForm = part(() => import('./add-color-form.tsx'), <div className="h-20 w-72" />);

/** Adds one typed colour to the tray. */
export function AddColor() {
  const [open, setOpen] = useState(false);
  return (
    <Popover
      label="Add a colour"
      align="end"
      open={open}
      onOpenChange={setOpen}
      trigger={
        <Button small look="quiet">
          <Plus aria-hidden className="size-4" /> Add
        </Button>
      }
    >
      <AddColorForm onDone={() => setOpen(false)} />
    </Popover>
  );
}
