import Joi from 'joi';
import type { Target } from '../../contrast/targets.ts';
import { objectOf } from './keys.ts';

/** What a contrast has to reach, in WCAG's levels. */
export const target = objectOf<Target>({
  level: Joi.valid('AA', 'AAA'),
  content: Joi.valid('body', 'large', 'graphics'),
});
