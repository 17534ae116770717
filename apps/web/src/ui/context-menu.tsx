import { ContextMenu as RadixMenu } from 'radix-ui';
import type { ReactElement } from 'react';

export interface MenuItem {
  readonly label: string;
  /** Why it cannot be done; it is shown, and not to be chosen. */
  readonly reason?: string | null;
  readonly onSelect: () => void;
}

interface ContextMenuProps {
  /** Name of the menu for screen readers. */
  label: string;
  items: readonly MenuItem[];
  onOpenChange?: (open: boolean) => void;
  /** What is pressed. */
  children: ReactElement;
}

/** What can be done with what is pressed with the other button of the mouse, or by the menu key. */
export function ContextMenu({ label, items, onOpenChange, children }: ContextMenuProps) {
  return (
    <RadixMenu.Root {...(onOpenChange ? { onOpenChange } : {})}>
      <RadixMenu.Trigger asChild data-long-press="">
        {children}
      </RadixMenu.Trigger>
      <RadixMenu.Portal>
        <RadixMenu.Content
          aria-label={label}
          className="z-40 min-w-44 rounded-md border border-control bg-raised p-1 text-main shadow-[0_8px_24px_var(--veil-modal)]"
        >
          {items.map(({ label: name, reason, onSelect }) => (
            <RadixMenu.Item
              key={name}
              disabled={Boolean(reason)}
              onSelect={onSelect}
              className="cursor-default rounded-[4px] px-2 py-1 outline-none data-disabled:text-quiet data-highlighted:bg-pressed"
            >
              {name}
              {reason && <span className="block text-sm">{reason}</span>}
            </RadixMenu.Item>
          ))}
        </RadixMenu.Content>
      </RadixMenu.Portal>
    </RadixMenu.Root>
  );
}
