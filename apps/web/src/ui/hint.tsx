import { Tooltip } from 'radix-ui';
import type { ReactElement, ReactNode } from 'react';

export const HintProvider = Tooltip.Provider;

/** A short explanation on hover and focus of the one element inside. */
export function Hint({ text, children }: { text: ReactNode; children: ReactElement }) {
  return (
    <Tooltip.Root>
      <Tooltip.Trigger asChild>{children}</Tooltip.Trigger>
      <Tooltip.Portal>
        <Tooltip.Content
          sideOffset={6}
          collisionPadding={8}
          className="z-50 max-w-72 rounded-md bg-main px-2 py-1 text-sm text-inverse"
        >
          {text}
        </Tooltip.Content>
      </Tooltip.Portal>
    </Tooltip.Root>
  );
}
