import { type Deficiency, deficiencyMatrix } from '@mint-lamp/core/vision/simulate';
import { filterId } from './readers.ts';

const DEFICIENCIES: readonly Deficiency[] = ['deutan', 'protan', 'tritan', 'achromat'];

/** A matrix of three rows as a filter takes it, with alpha left as it is. */
const rows = (m: readonly number[]) =>
  `${[0, 3, 6].map((i) => `${m[i]} ${m[i + 1]} ${m[i + 2]} 0 0`).join(' ')} 0 0 0 1 0`;

/**
 * The core's matrices as filters of the page, for linear light as the method asks: whatever is painted is seen so, and
 * gradients, veils and pictures too, pixel by pixel. Severity 0–1.
 */
export function SeeingFilters({ severity }: { severity: number }) {
  return (
    <svg aria-hidden className="pointer-events-none absolute size-0">
      {DEFICIENCIES.map((one) => (
        <filter
          key={one}
          id={filterId(one)}
          colorInterpolationFilters="linearRGB"
          x="0"
          y="0"
          width="100%"
          height="100%"
        >
          <feColorMatrix type="matrix" values={rows(deficiencyMatrix(one, severity))} />
        </filter>
      ))}
    </svg>
  );
}
