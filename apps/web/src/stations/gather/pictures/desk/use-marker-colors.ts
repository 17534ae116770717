import type { Marker } from '@mint-lamp/core/document/pictures/picture';
import { sampledText } from '@mint-lamp/core/picture/sample';
import { useEffect, useRef, useState } from 'react';
import { Latest } from '../../../../pixels/latest.ts';
import type { OpenedPicture } from '../../../../pixels/opened-picture.ts';

/** The colour of each marker by its id: the average of its square. */
export function useMarkerColors(
  picture: OpenedPicture,
  markers: readonly Marker[],
): ReadonlyMap<string, string> {
  const [colors, setColors] = useState<ReadonlyMap<string, string>>(new Map());
  const asking = useRef<Latest<readonly Marker[], Awaited<ReturnType<OpenedPicture['averages']>>> | null>(
    null,
  );
  useEffect(() => {
    const latest = new Latest<readonly Marker[], Awaited<ReturnType<OpenedPicture['averages']>>>(
      (places) => picture.averages(places),
      (averages, places) => setColors(new Map(places.map(({ id }, i) => [id, sampledText(averages[i]!)]))),
    );
    asking.current = latest;
    return () => latest.stop();
  }, [picture]);
  useEffect(() => {
    asking.current?.want(markers);
  }, [markers]);
  return colors;
}
