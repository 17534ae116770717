import { fromD50, toD50 } from './d50.ts';
import {
  type CssForm,
  channel,
  type OwnConversion,
  type SpaceDefinition,
  type SpaceId,
  UNIT,
} from './definition.ts';

/** CIE XYZ on either white. */
const xyzLike = (
  id: SpaceId,
  name: string,
  mode: string,
  css: CssForm,
  own: OwnConversion | null,
): SpaceDefinition => ({
  id,
  name,
  channels: [channel('x', 'X', 0, 1, 6), channel('y', 'Y', 0, 1, 6), channel('z', 'Z', 0, 1, 6)],
  css,
  hue: null,
  library: { mode, keys: ['x', 'y', 'z'], scale: UNIT },
  own,
});

export const xyzD65 = xyzLike('xyz-d65', 'XYZ D65', 'xyz65', { as: 'color', aliases: ['xyz'] }, null);
export const xyzD50 = xyzLike(
  'xyz-d50',
  'XYZ D50',
  'xyz50',
  { as: 'color' },
  { toXyz: fromD50, fromXyz: toD50 },
);
