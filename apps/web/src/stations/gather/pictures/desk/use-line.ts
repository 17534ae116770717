import type { FollowedRow } from '@mint-lamp/core/gradient/follow-row';
import type { PictureLine } from '@mint-lamp/core/picture/row';
import { useEffect, useRef, useState } from 'react';
import { Latest } from '../../../../pixels/latest.ts';
import type { OpenedPicture } from '../../../../pixels/opened-picture.ts';

/** What is asked of a line across a picture. */
export interface LineQuestion {
  readonly line: PictureLine;
  /** px across the line that are averaged. */
  readonly side: number;
  /** ΔE OK. */
  readonly tolerance: number;
}

export interface FollowedLine extends FollowedRow {
  /** The row itself: RGBA. */
  readonly row: Uint8ClampedArray<ArrayBuffer>;
}

/** The gradient that follows a line across a picture, as it is drawn; null where there is no line, and at first. */
export function useLine(picture: OpenedPicture, question: LineQuestion | null): FollowedLine | null {
  const [followed, setFollowed] = useState<FollowedLine | null>(null);
  const asking = useRef<Latest<LineQuestion, FollowedLine> | null>(null);
  useEffect(() => {
    const latest = new Latest<LineQuestion, FollowedLine>(
      ({ line, side, tolerance }) => picture.follow(line, side, tolerance),
      setFollowed,
    );
    asking.current = latest;
    return () => latest.stop();
  }, [picture]);
  const key = question && JSON.stringify(question);
  // biome-ignore lint/correctness/useExhaustiveDependencies: asked anew when something of it is another
  useEffect(() => {
    if (question) asking.current?.want(question);
    else setFollowed(null);
  }, [key]);
  return question ? followed : null;
}
