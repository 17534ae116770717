import { type Deficiency, PREVALENCE } from '@mint-lamp/core/vision/simulate';
import type { Reader } from '../store/interface-slice.ts';

interface ReaderWords {
  readonly id: Reader;
  readonly name: string;
  /** How many people, or that it is an approximation: no measured method stands behind it. */
  readonly note: string;
  /** As a CSS filter; the colours of the first four are worked out by the matrices in seeing-filters.tsx. */
  readonly filter: string;
}

/** A share of people as it is said: "3.1 of 100", "3 in 100,000". */
function peopleWords(share: number): string {
  if (share >= 0.005) return `about ${(share * 100).toFixed(1)} of 100 people`;
  return `about ${Math.round(share * 100_000)} in 100,000`;
}

export const isDeficiency = (reader: Reader): reader is Deficiency =>
  reader !== 'blurred' && reader !== 'glare';

export const filterId = (deficiency: Deficiency) => `seen-${deficiency}`;

const deficient = (id: Deficiency, name: string): ReaderWords => ({
  id,
  name,
  note: peopleWords(PREVALENCE[id]),
  filter: `url(#${filterId(id)})`,
});

/** Those who see a page otherwise, the commonest first. */
export const READERS: readonly ReaderWords[] = [
  deficient('deutan', 'Deutan: red-green, green-weak'),
  deficient('protan', 'Protan: red-green, red-weak'),
  deficient('tritan', 'Tritan: blue-yellow'),
  deficient('achromat', 'No colour vision'),
  { id: 'blurred', name: 'Blurred', note: 'an approximation', filter: 'blur(1.2px)' },
  { id: 'glare', name: 'In glare', note: 'an approximation', filter: 'contrast(0.45) brightness(1.55)' },
];
