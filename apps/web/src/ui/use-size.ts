import { useLayoutEffect, useRef, useState } from 'react';

/** The size of an element in CSS px, untransformed; zero until it is laid out. */
export function useSize<E extends HTMLElement>() {
  const element = useRef<E>(null);
  const [size, setSize] = useState({ width: 0, height: 0 });
  useLayoutEffect(() => {
    const { current } = element;
    if (!current) return;
    const look = () => {
      const { offsetWidth: width, offsetHeight: height } = current;
      setSize((old) => (old.width === width && old.height === height ? old : { width, height }));
    };
    look();
    const observer = new ResizeObserver(look);
    observer.observe(current);
    return () => observer.disconnect();
  }, []);
  return { element, ...size };
}
