import { clamp } from '../numbers/clamp.ts';
/** A rectangle in whole px from a top left corner. */
export interface Area {
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
}

/** An area as far as it lies in a box; its nearest pixel where all of it lies beside. */
export function areaWithin(area: Area, width: number, height: number): Area {
  const hold = (v: number, most: number) => clamp(Math.round(v), 0, most);
  const [x, y] = [hold(area.x, width - 1), hold(area.y, height - 1)];
  return {
    x,
    y,
    width: Math.max(1, hold(area.x + area.width, width) - x),
    height: Math.max(1, hold(area.y + area.height, height) - y),
  };
}
