import clsx from 'clsx';
import type { ComponentProps } from 'react';

type Look = 'primary' | 'plain' | 'quiet' | 'danger';

const LOOKS: Record<Look, string> = {
  primary: 'bg-mint text-on-mint hover:bg-mint-hover font-semibold border border-transparent',
  plain: 'bg-raised text-main border border-control hover:bg-sunken',
  quiet: 'text-main hover:bg-pressed border border-transparent',
  danger: 'text-fail border border-transparent hover:bg-pressed',
};

export interface ButtonProps extends ComponentProps<'button'> {
  look?: Look;
  small?: boolean;
}

export function Button({ look = 'plain', small = false, className, type = 'button', ...rest }: ButtonProps) {
  return (
    <button
      type={type}
      className={clsx(
        'inline-flex items-center justify-center gap-1.5 rounded-md whitespace-nowrap transition-colors duration-100',
        small ? 'h-6 px-2 text-sm' : 'h-8 px-3',
        'disabled:cursor-not-allowed disabled:border-hair disabled:bg-sunken disabled:text-quiet',
        LOOKS[look],
        className,
      )}
      {...rest}
    />
  );
}
