import type { Stored } from '../stored.ts';

const places = (position: unknown) => [{ value: position, unit: '%' }];
const direction = (angle: unknown) => ({ by: 'angle', degrees: angle });

export const stop = ({ position, link, ...rest }: Stored): Stored => ({
  ...rest,
  kind: 'stop',
  color: link,
  places: places(position),
});

export const gradient = ({ angle, stops, ...rest }: Stored): Stored => ({
  ...rest,
  direction: direction(angle),
  repeating: false,
  hueWay: 'shorter',
  stops: (stops as Stored[]).map(stop),
});

export const change = ({ angle, ...rest }: Stored): Stored =>
  angle === undefined ? rest : { ...rest, direction: direction(angle) };

export const move = ({ position, ...rest }: Stored): Stored => ({ ...rest, places: places(position) });
