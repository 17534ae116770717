import { kindOf } from '../kind.ts';
import { checkName } from '../naming/names.ts';
import { sameJson } from '../same.ts';
import type { Gradient } from './gradient.ts';
import {
  type GradientCommand,
  type GradientLists,
  gradientSteps,
  gradientWords,
} from './gradient-commands.ts';
import { gradientSchemas } from './gradient-schema.ts';

export const gradients = kindOf<
  { readonly gradients: readonly Gradient[] },
  GradientCommand,
  GradientLists
>()({
  empty: { gradients: [] },
  steps: gradientSteps,
  words: gradientWords,
  schemas: gradientSchemas,
  check({ gradients }) {
    for (const { id, name } of gradients) checkName(name, gradients, id, 'gradient');
  },
  compared: {
    gradients: {
      as: 'things',
      word: 'gradient',
      add: (gradient, index) => ({ type: 'addGradient', gradient, index }),
      remove: (gradient) => ({ type: 'removeGradient', gradient }),
      differs: (was, is) => (sameJson({ ...was, name: '' }, { ...is, name: '' }) ? [] : ['stops and shape']),
    },
  },
});
