import { Tooltip } from 'radix-ui';
import type { ReactElement, ReactNode } from 'react';
import { part } from './part.tsx';

const DELAY_MS = 400;

/** Without a pointer that hovers, a long press asks. */
const TouchHint = part(() => import('./touch-hint.tsx'));
const canBeTouched = navigator.maxTouchPoints > 0;

/** Hints need it around them; with it the next one comes at once while one is shown. */
export function HintProvider({ children }: { children: ReactNode }) {
  return (
    <Tooltip.Provider delayDuration={DELAY_MS}>
      {children}
      {canBeTouched && <TouchHint />}
    </Tooltip.Provider>
  );
}

/** A short explanation on hover and focus of the one element inside. */
export function Hint({ text, children }: { text: ReactNode; children: ReactElement }) {
  return (
    <Tooltip.Root>
      <Tooltip.Trigger asChild {...(typeof text === 'string' && { 'data-hint': text })}>
        {children}
      </Tooltip.Trigger>
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
