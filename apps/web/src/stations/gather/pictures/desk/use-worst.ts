import type { TextOver } from '@mint-lamp/core/document/pictures/picture';
import { paint } from '@mint-lamp/core/system/painted';
import { useEffect, useRef, useState } from 'react';
import { Latest } from '../../../../pixels/latest.ts';
import type { OpenedPicture } from '../../../../pixels/opened-picture.ts';
import type { Worst } from '../../../../pixels/pixel-worker.ts';
import { useResting } from '../../../../ui/use-resting.ts';

export interface Measured extends Worst {
  /** What was measured. */
  readonly of: TextOver;
}

/** The worst contrast that each of some colours would have as text over a region of the picture, by colour. */
export function useRatios(
  picture: OpenedPicture,
  text: TextOver | null,
  colors: readonly string[],
): ReadonlyMap<string, number> {
  const [ratios, setRatios] = useState<ReadonlyMap<string, number>>(new Map());
  const key = text && [text.x, text.y, text.width, text.height, ...colors].join(' ');
  const resting = useResting(key);
  // biome-ignore lint/correctness/useExhaustiveDependencies: measured anew once neither region nor colours change
  useEffect(() => {
    if (!text || !resting) return;
    let over = false;
    const { x, y, width, height } = text;
    void picture.worstOfEach(colors.map(paint), x, y, width, height).then((worst) => {
      if (!over) setRatios(new Map(colors.map((color, i) => [color, worst[i]!])));
    });
    return () => {
      over = true;
    };
  }, [picture, resting]);
  return ratios;
}

/** The worst contrast of a text over its region of the picture. */
export function useWorst(picture: OpenedPicture, text: TextOver | null): Measured | null {
  const [measured, setMeasured] = useState<Measured | null>(null);
  const asking = useRef<Latest<TextOver, Worst> | null>(null);
  useEffect(() => {
    const latest = new Latest<TextOver, Worst>(
      (of) => picture.worst(paint(of.color), of.x, of.y, of.width, of.height),
      (worst, of) => setMeasured({ ...worst, of }),
    );
    asking.current = latest;
    return () => latest.stop();
  }, [picture]);
  useEffect(() => {
    if (text) asking.current?.want(text);
    else setMeasured(null);
  }, [text]);
  return text ? measured : null;
}
