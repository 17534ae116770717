import clsx from 'clsx';
import { X } from 'lucide-react';
import { Dialog as RadixDialog } from 'radix-ui';
import { type ReactNode, useLayoutEffect } from 'react';

interface DialogProps {
  open: boolean;
  onOpenChange: (open: boolean) => void;
  title: string;
  description?: string;
  children: ReactNode;
  /** It goes by what is in it alone. */
  lasting?: boolean;
  /** Room for two columns. */
  wide?: boolean;
}

export function Dialog({ open, onOpenChange, title, description, children, lasting, wide }: DialogProps) {
  return (
    <RadixDialog.Root open={open} onOpenChange={onOpenChange}>
      <RadixDialog.Portal>
        <Cover />
        <RadixDialog.Content
          className={clsx(
            'fixed left-1/2 z-50 -translate-x-1/2 overflow-auto rounded-md border border-control bg-raised p-5 text-main max-sm:p-4',
            wide
              ? 'top-[6vh] max-h-[88vh] w-[min(880px,94vw)]'
              : 'top-[12vh] max-h-[76vh] w-[min(640px,92vw)]',
          )}
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

/**
 * Lies over the page behind a dialog. Not the library's own, which holds scrolling and the pointer by properties of the
 * body that every element inherits: drawing all of the page anew takes longer than the dialog. The page does not scroll,
 * and keeps the pointer, which does not reach it. When the dialog is closed the focus is again where it was before.
 */
function Cover() {
  useLayoutEffect(() => {
    const root = document.getElementById('root');
    root?.style.setProperty('pointer-events', 'auto');
    const before = document.activeElement;
    return () => {
      root?.style.removeProperty('pointer-events');
      // Once what closed it has put the focus elsewhere, if it does.
      setTimeout(() => {
        const isNowhere = document.activeElement === null || document.activeElement === document.body;
        if (isNowhere && before instanceof HTMLElement && before.isConnected)
          before.focus({ preventScroll: true });
      });
    };
  }, []);
  return <div className="pointer-events-auto fixed inset-0 z-40 bg-veil" />;
}
