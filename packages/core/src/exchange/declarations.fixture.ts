import { readBlocks } from '../cascade/rules.ts';

/** What a style sheet declares, without its comments and without what it takes back, for tests. */
export const declarationsOf = (css: string): string[] =>
  readBlocks(css).flatMap(({ selectors, declarations }) =>
    declarations
      .filter(({ value }) => value !== 'initial')
      .map(({ property, value }) => `${selectors.join(', ')} { ${property}: ${value} }`),
  );
