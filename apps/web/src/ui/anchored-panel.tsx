import { Popover as RadixPopover } from 'radix-ui';
import { type ReactNode, useMemo } from 'react';

interface AnchoredPanelProps {
  /** What it stands beside, in px of the window; read when it is placed. */
  box: () => DOMRect;
  label: string;
  onClose: () => void;
  children: ReactNode;
}

/** A panel beside something that is no button: a part of a picture or of a page. Escape and a press elsewhere close it. */
export function AnchoredPanel({ box, label, onClose, children }: AnchoredPanelProps) {
  const anchor = useMemo(() => ({ current: { getBoundingClientRect: box } }), [box]);
  return (
    <RadixPopover.Root
      open
      onOpenChange={(open) => {
        if (!open) onClose();
      }}
    >
      <RadixPopover.Anchor virtualRef={anchor} />
      <RadixPopover.Portal>
        <RadixPopover.Content
          aria-label={label}
          side="bottom"
          align="start"
          sideOffset={10}
          collisionPadding={12}
          className="z-40 max-h-[max(320px,var(--radix-popover-content-available-height))] overflow-auto rounded-md border border-control bg-raised p-3 text-main shadow-[0_8px_24px_var(--veil-modal)]"
        >
          {children}
        </RadixPopover.Content>
      </RadixPopover.Portal>
    </RadixPopover.Root>
  );
}
