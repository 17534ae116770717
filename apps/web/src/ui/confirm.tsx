import { type ReactElement, type ReactNode, useState } from 'react';
import { Button } from './button.tsx';
import { Popover, PopoverClose } from './popover.tsx';

interface ConfirmProps {
  trigger: ReactElement;
  /** Name of the panel for screen readers. */
  label: string;
  /** What is asked, with what will be gone and whether it comes back. */
  children: ReactNode;
  /** What the button that does it says, and the one that does not. */
  yes: string;
  no: string;
  onYes: () => void;
}

/** Asks before something goes, beside what was pressed. */
export function Confirm({ trigger, label, children, yes, no, onYes }: ConfirmProps) {
  const [open, setOpen] = useState(false);
  return (
    <Popover label={label} align="end" open={open} onOpenChange={setOpen} trigger={trigger}>
      <p className="mb-2 max-w-64">{children}</p>
      <div className="flex gap-2">
        <Button
          look="danger"
          onClick={() => {
            setOpen(false);
            onYes();
          }}
        >
          {yes}
        </Button>
        <PopoverClose asChild>
          <Button>{no}</Button>
        </PopoverClose>
      </div>
    </Popover>
  );
}
