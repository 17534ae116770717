import { contrastRatio, type Rgba, reaches } from '../../contrast/ratio.ts';
import { type Deficiency, PREVALENCE, simulate } from '../../vision/simulate.ts';

/** Somebody for whom a pair of opaque colours that passes falls short. */
export interface SeenShort {
  readonly deficiency: Deficiency;
  readonly ratio: number;
  /** Share of people concerned, 0–1. */
  readonly people: number;
}

/**
 * For whom a text on a ground (both opaque, as painted) that reaches what is asked falls short, the commonest first: red on
 * dark with protan vision, for one. WCAG asks for the ratio of the colours as they are, so this is told and not counted.
 */
export function seenShort(text: Rgba, ground: Rgba, required: number, severity = 1): SeenShort[] {
  if (!reaches(contrastRatio(text, ground), required)) return [];
  return (['deutan', 'protan', 'tritan', 'achromat'] as const).flatMap((deficiency) => {
    const ratio = contrastRatio(simulate(text, deficiency, severity), simulate(ground, deficiency, severity));
    return reaches(ratio, required) ? [] : [{ deficiency, ratio, people: PREVALENCE[deficiency] }];
  });
}
