import type { HueWay } from '../../color/mix.ts';
import { MIXING_SPACES } from '../../gradient/interpolate.ts';
import type { Direction, Hint, StopPlace } from '../../gradient/model.ts';
import type { KindSchemas } from '../kind.ts';
import type { CommandSchemas } from '../schema/keys.ts';
import type { SchemaParts } from '../schema/toolbox.ts';
import {
  type Gradient,
  type GradientShape,
  isInOrder,
  MOST_GRADIENTS,
  MOST_STOPS,
  type Stop,
} from './gradient.ts';
import type { GradientChange, GradientCommand } from './gradient-commands.ts';

export function gradientSchemas(
  parts: SchemaParts,
): KindSchemas<{ gradients: readonly Gradient[] }, GradientCommand> {
  const { Joi, objectOf, optional, unionOf, id, index, link, name } = parts;
  const FARTHEST_PX = 100_000;

  const px = Joi.number().min(-FARTHEST_PX).max(FARTHEST_PX);
  const unit = Joi.valid('%', 'px');
  /** A place on the gradient line, within it where it is in percent. */
  const place = objectOf<StopPlace>({
    value: Joi.number().when('unit', { is: '%', then: Joi.number().min(0).max(100), otherwise: px }),
    unit,
  });
  /** A place in a box, which may lie beyond it. */
  const point = objectOf<StopPlace>({ value: px, unit });
  const places = Joi.array().items(place).min(1).max(2);

  const stopSchema = objectOf<Stop>({ id, kind: Joi.valid('stop'), color: link, places });
  const hint = objectOf<Hint>({ kind: Joi.valid('hint'), place });
  const item = Joi.alternatives().conditional('.kind', { is: 'hint', then: hint, otherwise: stopSchema });

  const degrees = Joi.number().min(0).max(360);
  const direction = unionOf<Direction, 'by'>('by', {
    angle: { degrees },
    corner: { x: Joi.valid('left', 'right', null), y: Joi.valid('top', 'bottom', null) },
  });
  const space = Joi.valid(...MIXING_SPACES);
  const hueWay = Joi.valid(
    ...(['shorter', 'longer', 'increasing', 'decreasing'] satisfies readonly HueWay[]),
  );
  const repeating = Joi.boolean();
  const shape = Joi.valid('circle', 'ellipse');
  const size = Joi.alternatives(
    Joi.valid('closest-side', 'farthest-side', 'closest-corner', 'farthest-corner'),
    Joi.array().items(point).min(1).max(2),
  );
  const center = Joi.array().items(point).length(2);

  const stops = Joi.array()
    .items(item)
    .min(2)
    .max(MOST_STOPS * 2)
    .unique((a, b) => a.id !== undefined && a.id === b.id)
    .custom((items: Gradient['stops'], helpers) => (isInOrder(items) ? items : helpers.error('stops.order')))
    .messages({ 'stops.order': '{{#label}} have to be in the order of their places' });
  const favourite = Joi.valid(true);
  const common = {
    id,
    name,
    group: optional(name),
    favourite: optional(favourite),
    repeating,
    space,
    hueWay,
    stops,
  };

  const gradientSchema = unionOf<Gradient, 'kind'>('kind', {
    linear: { ...common, direction },
    radial: { ...common, shape, size, center },
    conic: { ...common, from: degrees, center },
  });

  const change = objectOf<GradientChange>({
    group: optional(name.allow(null)),
    favourite: optional(favourite.allow(null)),
    repeating: optional(repeating),
    space: optional(space),
    hueWay: optional(hueWay),
    direction: optional(direction),
    shape: optional(shape),
    size: optional(size),
    center: optional(center),
    from: optional(degrees),
  }).min(1);

  const gradientShape = unionOf<GradientShape, 'kind'>('kind', {
    linear: { direction },
    radial: { shape, size, center },
    conic: { from: degrees, center },
  });

  const gradientCommandSchemas: CommandSchemas<GradientCommand> = {
    shapeGradient: { gradient: id, shape: gradientShape },
    setStops: { gradient: id, stops },
    addGradient: { gradient: gradientSchema, index: optional(index) },
    removeGradient: { gradient: id },
    renameGradient: { gradient: id, name },
    moveGradient: { gradient: id, index },
    setGradient: { gradient: id, change },
    addStop: { gradient: id, stop: stopSchema, index: optional(index) },
    removeStop: { gradient: id, stop: id },
    moveStop: { gradient: id, stop: id, places, index: optional(index) },
    linkStop: { gradient: id, stop: id, link },
  };

  return {
    parts: { gradients: parts.listOf(gradientSchema, MOST_GRADIENTS) },
    commands: gradientCommandSchemas,
  };
}
