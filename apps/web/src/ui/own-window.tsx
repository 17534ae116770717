import { type ReactNode, useEffect, useRef, useState } from 'react';
import { createPortal } from 'react-dom';
import { toast } from 'sonner';

/** The browser's own small window that stays above all others, where it has one (Document Picture-in-Picture). */
interface WindowsAbove {
  requestWindow(size: { width: number; height: number }): Promise<Window>;
}
declare global {
  interface Window {
    readonly documentPictureInPicture?: WindowsAbove;
  }
}

interface OwnWindowProps {
  title: string;
  /** px. */
  width?: number;
  height?: number;
  /** Whether it stays above other windows, where the browser can. */
  above?: boolean;
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
export function OwnWindow({
  title,
  width = 1100,
  height = 760,
  above = false,
  onClose,
  children,
}: OwnWindowProps) {
  const [body, setBody] = useState<HTMLElement | null>(null);
  const closed = useRef(onClose);
  closed.current = onClose;
  // biome-ignore lint/correctness/useExhaustiveDependencies: opened once
  useEffect(() => {
    let left = false;
    let other: Window | null = null;
    const gone = () => closed.current();
    const close = () => other?.close();
    const opened = async () => {
      const onTop = above ? window.documentPictureInPicture : undefined;
      // Where the one above others cannot be had, a plain one is.
      const small = await onTop?.requestWindow({ width, height }).catch(() => null);
      return small ?? window.open('', '', `popup,width=${width},height=${height}`);
    };
    void opened().then((made) => {
      other = made;
      if (left) return made?.close();
      if (!made) {
        toast.error('The browser did not open a window: allow windows for this page, and try again.');
        return closed.current();
      }
      dress(made.document);
      made.document.title = title;
      setBody(made.document.body);
      made.addEventListener('pagehide', gone);
      addEventListener('pagehide', close);
    });
    return () => {
      left = true;
      other?.removeEventListener('pagehide', gone);
      removeEventListener('pagehide', close);
      close();
    };
  }, []);
  return body && createPortal(children, body);
}
