import { Popover as RadixPopover } from 'radix-ui';
import type { ReactElement, ReactNode } from 'react';

interface PopoverProps {
  trigger: ReactElement;
  /** Name of the panel for screen readers. */
  label: string;
  open?: boolean;
  onOpenChange?: (open: boolean) => void;
  children: ReactNode;
  align?: 'start' | 'center' | 'end';
}

export function Popover({ trigger, label, children, align = 'start', ...control }: PopoverProps) {
  return (
    <RadixPopover.Root {...control}>
      <RadixPopover.Trigger asChild>{trigger}</RadixPopover.Trigger>
      <RadixPopover.Portal>
        <RadixPopover.Content
          aria-label={label}
          align={align}
          sideOffset={6}
          collisionPadding={12}
          className="z-40 max-w-[calc(100vw-24px)] [&>*]:max-w-full max-h-[min(70vh,var(--radix-popover-content-available-height))] overflow-auto rounded-md border border-control bg-raised p-3 text-main shadow-[0_8px_24px_var(--veil-modal)]"
        >
          {children}
        </RadixPopover.Content>
      </RadixPopover.Portal>
    </RadixPopover.Root>
  );
}

export const PopoverClose = RadixPopover.Close;
