import clsx from 'clsx';
import type { ReactNode } from 'react';
import { Button, type ButtonProps } from './button.tsx';
import { Hint } from './hint.tsx';

interface IconButtonProps extends ButtonProps {
  /** Name for screen readers, and the hint unless another is given. */
  label: string;
  hint?: string;
  children: ReactNode;
}

export function IconButton({ label, hint, small, className, look = 'quiet', ...rest }: IconButtonProps) {
  return (
    <Hint text={hint ?? label}>
      <Button
        aria-label={label}
        look={look}
        className={clsx(small ? 'size-[24px] px-0!' : 'size-8 px-0!', className)}
        {...(small === undefined ? {} : { small })}
        {...rest}
      />
    </Hint>
  );
}
