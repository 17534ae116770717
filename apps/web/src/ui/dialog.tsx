import { X } from 'lucide-react';
import { Dialog as RadixDialog } from 'radix-ui';
import type { ReactNode } from 'react';

interface DialogProps {
  open: boolean;
  onOpenChange: (open: boolean) => void;
  title: string;
  description?: string;
  children: ReactNode;
  /** It goes by what is in it alone. */
  lasting?: boolean;
}

export function Dialog({ open, onOpenChange, title, description, children, lasting }: DialogProps) {
  return (
    <RadixDialog.Root open={open} onOpenChange={onOpenChange}>
      <RadixDialog.Portal>
        {/* Not the library's own, which holds the page's scrolling by a property that every element inherits: drawing all of
            it anew takes longer than the dialog. The page itself does not scroll. */}
        <div className="pointer-events-auto fixed inset-0 z-40 bg-veil" />
        <RadixDialog.Content
          className="fixed top-[12vh] left-1/2 z-50 max-h-[76vh] w-[min(640px,92vw)] -translate-x-1/2 overflow-auto rounded-md border border-control bg-raised p-5 text-main"
          {...(description ? {} : { 'aria-describedby': undefined })}
        >
          <div className="mb-3 flex items-start justify-between gap-4">
            <div>
              <RadixDialog.Title className="font-title text-xl font-semibold">{title}</RadixDialog.Title>
              {description && (
                <RadixDialog.Description className="text-quiet">{description}</RadixDialog.Description>
              )}
            </div>
            {!lasting && (
              <RadixDialog.Close aria-label="Close" className="rounded-md p-1 hover:bg-pressed">
                <X aria-hidden className="size-4" />
              </RadixDialog.Close>
            )}
          </div>
          {children}
        </RadixDialog.Content>
      </RadixDialog.Portal>
    </RadixDialog.Root>
  );
}
