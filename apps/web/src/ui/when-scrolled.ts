/** Looks at a frame that scrolls: now, whenever it is scrolled, and when its size changes, until the function is called. */
export function whenScrolled(frame: HTMLElement, look: () => void): () => void {
  look();
  const observer = new ResizeObserver(look);
  observer.observe(frame);
  frame.addEventListener('scroll', look, { passive: true });
  return () => {
    observer.disconnect();
    frame.removeEventListener('scroll', look);
  };
}
