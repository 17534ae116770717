import { useCallback, useEffect, useState } from 'react';
import { lookAt, type OpenedPicture } from './opened-picture.ts';
import type { Size } from './pixel-worker.ts';

export interface PixelsState {
  readonly picture: OpenedPicture | null;
  /** Whether all of its pixels are read; until then it may be seen by a small copy. */
  readonly isWhole: boolean;
  /** 0–1. */
  readonly progress: number;
  /** Why it cannot be opened, in words. */
  readonly fault: string | null;
  readonly again: () => void;
}

/** The opened picture at an address, of a size in px. */
export function usePixels(address: string, { width, height }: Size): PixelsState {
  const [state, setState] = useState<{ address: string; picture: OpenedPicture; isWhole: boolean } | null>(
    null,
  );
  const [failed, setFailed] = useState<{ address: string; fault: string } | null>(null);
  const [progress, setProgress] = useState(0);
  const [tries, setTries] = useState(0);
  // biome-ignore lint/correctness/useExhaustiveDependencies: another try of the same address
  useEffect(() => {
    let over = false;
    setFailed(null);
    const { opening, broken, leave } = lookAt(address, { width, height }, setProgress);
    opening.then(
      (picture) => {
        if (over) return;
        setState({ address, picture, isWhole: picture.isWhole() });
        if (picture.isWhole()) return;
        picture.whole.then(
          () => {
            if (!over) setState({ address, picture, isWhole: true });
          },
          // Told by what is broken.
          () => {},
        );
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
  }, [address, width, height, tries]);
  const again = useCallback(() => setTries((n) => n + 1), []);
  return {
    picture: state?.address === address ? state.picture : null,
    isWhole: state?.address === address && state.isWhole,
    progress,
    fault: failed?.address === address ? failed.fault : null,
    again,
  };
}
