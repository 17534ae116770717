import type { Form } from '../form.ts';

const places = (position: unknown) => [{ value: position, unit: '%' }];
const direction = (angle: unknown) => ({ by: 'angle', degrees: angle });

export const stop = ({ position, link, ...rest }: Form): Form => ({
  ...rest,
  kind: 'stop',
  color: link,
  places: places(position),
});

export const gradient = ({ angle, stops, ...rest }: Form): Form => ({
  ...rest,
  direction: direction(angle),
  repeating: false,
  hueWay: 'shorter',
  stops: (stops as Form[]).map(stop),
});

export const change = ({ angle, ...rest }: Form): Form =>
  angle === undefined ? rest : { ...rest, direction: direction(angle) };

export const move = ({ position, ...rest }: Form): Form => ({ ...rest, places: places(position) });
