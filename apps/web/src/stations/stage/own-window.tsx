import { type ReactNode, useEffect, useRef, useState } from 'react';
import { createPortal } from 'react-dom';
import { toast } from 'sonner';

interface OwnWindowProps {
  title: string;
  onClose: () => void;
  children: ReactNode;
}

/** Style sheets and themes of the page, so that its parts look the same in another window. */
function dress(other: Document): void {
  for (const sheet of document.querySelectorAll('link[rel="stylesheet"], style'))
    other.head.append(other.importNode(sheet, true));
  const [from, to] = [document.documentElement, other.documentElement];
  to.lang = from.lang;
  to.className = from.className;
  for (const [key, value] of Object.entries(from.dataset)) if (value !== undefined) to.dataset[key] = value;
}

/** A window of its own, which is drawn by this page and so follows it in the same frame. It closes with the page. */
export function OwnWindow({ title, onClose, children }: OwnWindowProps) {
  const [body, setBody] = useState<HTMLElement | null>(null);
  const closed = useRef(onClose);
  closed.current = onClose;
  // biome-ignore lint/correctness/useExhaustiveDependencies: opened once
  useEffect(() => {
    const other = window.open('', '', 'popup,width=1100,height=760');
    if (!other) {
      toast.error('The browser did not open a window: allow windows for this page, and try again.');
      closed.current();
      return;
    }
    dress(other.document);
    other.document.title = title;
    setBody(other.document.body);
    const gone = () => closed.current();
    const close = () => other.close();
    other.addEventListener('pagehide', gone);
    addEventListener('pagehide', close);
    return () => {
      other.removeEventListener('pagehide', gone);
      removeEventListener('pagehide', close);
      other.close();
    };
  }, []);
  return body && createPortal(children, body);
}
