import { useEffect, useState } from 'react';

/** A value once it has not changed for a while: for work that nobody wants for every key that is typed. */
export function useResting<T>(value: T, ms = 200): T {
  const [resting, setResting] = useState(value);
  useEffect(() => {
    const timer = setTimeout(() => setResting(value), ms);
    return () => clearTimeout(timer);
  }, [value, ms]);
  return resting;
}
