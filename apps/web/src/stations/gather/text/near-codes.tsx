import type { NearCode } from '@mint-lamp/core/color/find';
import { Button } from '../../../ui/button.tsx';
import { ColorChip } from '../../../ui/color-chip.tsx';

interface NearCodesProps {
  near: readonly NearCode[];
  onCorrect: (code: NearCode, correction: string) => void;
}

/** What looks like a colour code and is none: where, why, and what may have been meant, to click. */
export function NearCodes({ near, onCorrect }: NearCodesProps) {
  if (!near.length) return null;
  return (
    <section aria-label="Possible typos" className="mt-5 border-t border-hair pt-3">
      <h2 className="font-title text-lg font-semibold">Possible typos</h2>
      <ul className="divide-y divide-hair">
        {near.map((code) => (
          <li key={`${code.index} ${code.text}`} className="py-2">
            <p>
              <span className="font-mono text-fail">{code.text}</span>{' '}
              <span className="text-quiet">
                in line {code.line}. {code.reason}
              </span>
            </p>
            {code.corrections.length > 0 && (
              <p className="mt-1 flex flex-wrap items-center gap-1.5">
                <span className="text-sm text-quiet">Did you mean</span>
                {code.corrections.map((correction) => (
                  <Button key={correction} small onClick={() => onCorrect(code, correction)}>
                    <ColorChip css={correction} className="size-4" />
                    <span className="font-mono">{correction}</span>
                  </Button>
                ))}
              </p>
            )}
          </li>
        ))}
      </ul>
    </section>
  );
}
