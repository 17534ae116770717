import { useState } from 'react';

/** What a drag would make, by what was there when it began. */
export function useDragFrom<C>(moved: (member: number, degrees: number) => C) {
  const [drag] = useState(() => {
    let from: ((member: number, degrees: number) => C) | null = null;
    let latest: (member: number, degrees: number) => C;
    return {
      follow(next: typeof moved) {
        latest = next;
      },
      by(member: number, degrees: number): C {
        from ??= latest;
        return from(member, degrees);
      },
      end(): null {
        from = null;
        return null;
      },
    };
  });
  drag.follow(moved);
  return drag;
}
