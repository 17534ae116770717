import clsx from 'clsx';
import { type ComponentProps, useRef } from 'react';

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

/**
 * A button. One that is disabled while it has the focus keeps it: a press that leaves nothing more to do does not send
 * whoever works by keyboard back to the beginning of the page.
 */
export function Button({
  look = 'plain',
  small = false,
  className,
  type = 'button',
  disabled = false,
  ref,
  onClick,
  ...rest
}: ButtonProps) {
  const own = useRef<HTMLButtonElement | null>(null);
  const hasFocus = disabled && own.current !== null && own.current === document.activeElement;
  return (
    <button
      ref={(element) => {
        own.current = element;
        if (typeof ref === 'function') ref(element);
        else if (ref) ref.current = element;
      }}
      type={hasFocus ? 'button' : type}
      disabled={disabled && !hasFocus}
      {...(hasFocus ? { 'aria-disabled': true } : { onClick })}
      className={clsx(
        'inline-flex items-center justify-center gap-1.5 rounded-md whitespace-nowrap transition-colors duration-100',
        small ? 'h-[24px] px-2 text-sm' : 'h-8 px-3',
        'disabled:cursor-not-allowed disabled:border-hair disabled:bg-sunken disabled:text-quiet',
        hasFocus ? 'cursor-not-allowed border border-hair bg-sunken text-quiet' : LOOKS[look],
        className,
      )}
      {...rest}
    />
  );
}
