import { useRef } from 'react';

interface PageFrameProps {
  /** A cleaned page, painted. */
  html: string;
  title: string;
  /** CSS px for which it is laid out, and how large it is shown. */
  width: number;
  height: number;
  scale: number;
  /** Told its document when it is there. */
  onLoad?: (page: Document) => void;
}

/** What a page may do in its frame: be seen. */
const POLICY = `<meta http-equiv="Content-Security-Policy" content="default-src 'none'; style-src 'unsafe-inline'; img-src data:">`;

/** The page with that policy before anything else in it. */
const guarded = (html: string) => html.replace('<head>', `<head>${POLICY}`);

/**
 * A page in a frame of its own, in which no script runs, nothing is fetched, sent or gone to. It is of the same origin, so
 * that what stands where can be read from outside; without scripts nothing in it can make use of that.
 */
export function PageFrame({ html, title, width, height, scale, onLoad }: PageFrameProps) {
  const frame = useRef<HTMLIFrameElement>(null);
  return (
    <div
      className="overflow-hidden rounded-md border border-hair bg-white"
      style={{ width: width * scale, height: height * scale }}
    >
      <iframe
        ref={frame}
        title={title}
        sandbox="allow-same-origin"
        srcDoc={guarded(html)}
        tabIndex={-1}
        onLoad={() => {
          const page = frame.current?.contentDocument;
          if (page) onLoad?.(page);
        }}
        className="origin-top-left border-0"
        style={{ width, height, transform: `scale(${scale})` }}
      />
    </div>
  );
}
