import { describeColor } from '@mint-lamp/core/color/describe';
import { readColor } from '@mint-lamp/core/color/parse';
import type { ProposedSystem } from '@mint-lamp/core/edits/rounds/propose-systems';
import { memo } from 'react';
import { Button } from '../../../ui/button.tsx';
import { part } from '../../../ui/part.tsx';

const SmallPage = part(() => import('./small-page.tsx'), <div className="aspect-[7/3]" />);

interface ProposalCardProps {
  proposal: ProposedSystem;
  /** From 0. */
  index: number;
  /** How many of its colours are kept ones. */
  kept: number;
  mixing: boolean;
  onMixing: (index: number) => void;
  onAdopt: (index: number) => void;
  onMore: (index: number, way: 'like' | 'away') => void;
}

/** What the readout would count: "33 of 36 pairs pass, 1 too alike". */
function countsOf({ passing, pairs, alike, outside }: ProposedSystem): string {
  const parts = [
    ...(pairs ? [`${passing} of ${pairs} pairs pass`] : []),
    ...(alike ? [`${alike} too alike`] : []),
    ...(outside ? [`${outside} outside sRGB`] : []),
  ];
  return parts.join(', ');
}

/** A proposal: a small page painted with it, its colours, what the readout counts, and the ways on from it. */
export const ProposalCard = memo(function ProposalCard(props: ProposalCardProps) {
  const { proposal, index, kept, mixing, onMixing, onAdopt, onMore } = props;
  const name = `Proposal ${index + 1}`;
  return (
    <li aria-label={name} className="min-w-0">
      <SmallPage page={proposal.page} />
      <ul
        aria-label={`Colours of ${name}`}
        className="mt-1 flex h-8 overflow-hidden rounded-md border border-hair"
      >
        {proposal.colors.map((color, i) => (
          <li
            // biome-ignore lint/suspicious/noArrayIndexKey: a kept colour may come twice
            key={i}
            data-specimen
            title={`${color}${i < kept ? ', kept' : ''}`}
            className="relative min-w-0 flex-1"
            style={{ background: color }}
          >
            <span className="sr-only">{`${describeColor(readColor(color))}, ${color}${i < kept ? ', kept' : ''}`}</span>
            {i < kept && (
              <span
                aria-hidden
                className="absolute bottom-0.5 left-1/2 h-1 w-2 -translate-x-1/2 border border-[#000] bg-[#fff]"
              />
            )}
          </li>
        ))}
      </ul>
      <p className="mt-0.5 h-5 truncate text-sm text-quiet">{countsOf(proposal)}</p>
      <div className="flex flex-wrap items-center gap-1.5">
        <Button small onClick={() => onAdopt(index)} aria-label={`Adopt ${name} …`}>
          Adopt …
        </Button>
        <Button small look="quiet" onClick={() => onMore(index, 'like')} aria-label={`More like ${name}`}>
          More like it
        </Button>
        <Button small look="quiet" onClick={() => onMore(index, 'away')} aria-label={`Less like ${name}`}>
          Less like it
        </Button>
        <label className="ml-auto flex items-center gap-1 text-sm">
          <input
            type="checkbox"
            aria-label={`Mix ${name}`}
            checked={mixing}
            onChange={() => onMixing(index)}
          />
          mix
        </label>
      </div>
    </li>
  );
});
