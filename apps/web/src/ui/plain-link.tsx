import type { ComponentProps, MouseEvent } from 'react';

interface PlainLinkProps extends Omit<ComponentProps<'a'>, 'href' | 'onClick'> {
  to: string;
  /** Goes there inside the app; the router's own `navigate`, handed down once for many links. */
  onGo: (to: string) => void;
}

/**
 * A link of which very many are drawn again in one frame: the router's own link costs each of them a look at where
 * the page is.
 */
export function PlainLink({ to, onGo, ...rest }: PlainLinkProps) {
  const go = (event: MouseEvent) => {
    const plain = event.button === 0 && !(event.metaKey || event.ctrlKey || event.shiftKey || event.altKey);
    if (!plain || event.defaultPrevented) return;
    event.preventDefault();
    onGo(to);
  };
  return <a href={to} onClick={go} {...rest} />;
}
