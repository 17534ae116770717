import type { ContrastMark } from '@mint-lamp/core/contrast/light-axis';

/** The stretches of the light axis that pass, from one L* to another, 0–100. */
export type LitStretch = readonly (readonly [from: number, to: number])[];

/** What passes a mark: all that is darker or lighter enough. */
const ofMark = ({ darker, lighter }: ContrastMark): LitStretch => [
  ...(darker === null ? [] : [[0, darker] as const]),
  ...(lighter === null ? [] : [[lighter, 100] as const]),
];

/** What passes all of some marks; between a light and a dark ground that can be a stretch in the middle. */
export const litStretch = (marks: readonly ContrastMark[]): LitStretch =>
  marks.map(ofMark).reduce((all, one) =>
    all.flatMap(([a, b]) =>
      one.flatMap(([c, d]) => {
        const [from, to] = [Math.max(a, c), Math.min(b, d)];
        return from <= to ? [[from, to] as const] : [];
      }),
    ),
  );

export const isLit = (lightness: number, stretch: LitStretch): boolean =>
  stretch.some(([from, to]) => lightness >= from && lightness <= to);
