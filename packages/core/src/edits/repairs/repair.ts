import type { Rgba } from '../../contrast/ratio.ts';
import type { Command } from '../../document/commands/command.ts';

export type PairSide = 'foreground' | 'background' | 'veil';

/** The offered way to make a pair pass in one theme. */
export type Repair =
  | {
      readonly kind: 'repair';
      readonly side: PairSide;
      /** The name of what is to be taken: a shade such as "Lantern 700", or a colour in CSS. */
      readonly name: string;
      /** What is given up by it, in words; null for a shade of the same family. */
      readonly cost: string | null;
      /** The pair's colours afterwards, composited. */
      readonly text: Rgba;
      readonly ground: Rgba;
      readonly ratio: number;
      readonly command: Command;
    }
  | { readonly kind: 'none'; readonly reason: string };
