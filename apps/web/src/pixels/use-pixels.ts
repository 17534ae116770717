import { useCallback, useEffect, useState } from 'react';
import { lookAt, type OpenedPicture } from './opened-picture.ts';

export interface PixelsState {
  readonly picture: OpenedPicture | null;
  /** 0–1. */
  readonly progress: number;
  /** Why it cannot be opened, in words. */
  readonly fault: string | null;
  readonly again: () => void;
}

/** The opened picture at an address. */
export function usePixels(address: string): PixelsState {
  const [state, setState] = useState<{ address: string; picture: OpenedPicture } | null>(null);
  const [failed, setFailed] = useState<{ address: string; fault: string } | null>(null);
  const [progress, setProgress] = useState(0);
  const [tries, setTries] = useState(0);
  // biome-ignore lint/correctness/useExhaustiveDependencies: another try of the same address
  useEffect(() => {
    let over = false;
    setFailed(null);
    const { opening, broken, leave } = lookAt(address, setProgress);
    opening.then(
      (picture) => {
        if (!over) setState({ address, picture });
      },
      (error: Error) => {
        if (!over) setFailed({ address, fault: error.message });
      },
    );
    broken.catch((error: Error) => {
      if (over) return;
      setState(null);
      setFailed({ address, fault: error.message });
    });
    return () => {
      over = true;
      leave();
    };
  }, [address, tries]);
  const again = useCallback(() => setTries((n) => n + 1), []);
  return {
    picture: state?.address === address ? state.picture : null,
    progress,
    fault: failed?.address === address ? failed.fault : null,
    again,
  };
}
