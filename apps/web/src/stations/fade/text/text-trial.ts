import { isLargeText } from '@mint-lamp/core/contrast/targets';
import type { ProjectDocument } from '@mint-lamp/core/document/document';
import { LONGEST_BOX } from '@mint-lamp/core/document/pairs/backdrop';
import type { Pair } from '@mint-lamp/core/document/pairs/pair';
import { type Area, areaWithin } from '@mint-lamp/core/gradient/area';
import { clamp } from '@mint-lamp/core/numbers/clamp';
import { newId } from '../../../store/editing.ts';
import type { BoxSize } from '../preview/purposes.ts';

/** A text that is tried on a gradient: its role, what is asked of it, and where on the preview it stands (px). */
export interface TextTrial {
  readonly role: string;
  readonly required: number;
  readonly area: Area;
}

/** CSS px that its letters have: large ones where no more than 3 is asked. */
export const lettersOf = (required: number): number => (required === 3 ? 28 : 16);

/** Px from the edges at which a text begins to be tried. */
const INSET = 28;
const LINE = 1.2;

/** Where a text stands at first: low on the left, as wide as words are. */
export function firstArea({ width, height }: BoxSize, required: number): Area {
  const line = Math.ceil(lettersOf(required) * LINE);
  return areaWithin(
    { x: INSET, y: height - INSET - line, width: Math.max(80, width * 0.42), height: line },
    Math.max(1, Math.round(width)),
    Math.max(1, Math.round(height)),
  );
}

/** The box that a text is judged in, as a pair can have it. */
export const boxOf = ({ width, height }: BoxSize) =>
  [width, height].map((v) => clamp(Math.round(v), 1, LONGEST_BOX)) as [number, number];

/** The trial as a pair over the gradient, in the place where it stands. Null where there is no other role to lie beneath. */
export function trialPair(
  doc: ProjectDocument,
  gradient: string,
  trial: TextTrial,
  size: BoxSize,
): Pair | null {
  const ground = doc.ground ?? doc.roles.find((role) => role.id !== trial.role)?.id;
  if (!ground || ground === trial.role) return null;
  const [width, height] = boxOf(size);
  const letters = lettersOf(trial.required);
  return {
    id: newId(),
    foreground: trial.role,
    background: ground,
    target: {
      level: trial.required === 7 ? 'AAA' : 'AA',
      content: isLargeText(letters, 400) ? 'large' : 'body',
    },
    size: letters,
    weight: 400,
    backdrop: { kind: 'gradient', gradient, width, height, text: areaWithin(trial.area, width, height) },
  };
}
