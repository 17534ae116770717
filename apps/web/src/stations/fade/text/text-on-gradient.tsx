import { formatRatio } from '@mint-lamp/core/contrast/ratio';
import { shareWords } from '@mint-lamp/core/contrast/share-words';
import { usageOf } from '@mint-lamp/core/document/coherence/role-use';
import { writeRoleName } from '@mint-lamp/core/document/naming/role-name';
import { useNavigate } from 'react-router';
import { addressOf } from '../../../addresses.ts';
import { useEditing } from '../../../store/editing.ts';
import { useProjectDocument, useProjectId } from '../../../store/selectors.ts';
import { Button } from '../../../ui/button.tsx';
import { Choice } from '../../../ui/choice.tsx';
import { alongWords } from '../bench/text-lane.tsx';
import type { BoxSize } from '../preview/purposes.ts';
import { firstArea, type TextTrial, trialPair } from './text-trial.ts';
import type { InBox, Tried } from './use-text-trial.ts';

const NONE = '';
const ASKED = [
  { value: '3', label: '3, large text' },
  { value: '4.5', label: '4.5, body text' },
  { value: '7', label: '7, body text AAA' },
];

/** The id of the words that say what a text comes to. */
export const TRIED_ID = 'text-tried';

interface TextOnGradientProps {
  gradient: string;
  trial: TextTrial | null;
  tried: Tried;
  size: BoxSize;
  onChange: (trial: TextTrial | null) => void;
  /** Shows a veil over the preview; null takes it off. */
  onVeil: (css: string | null) => void;
}

function inBoxWords({ ratio, passes, failing }: InBox, required: number): string {
  const worst = `${formatRatio(ratio)} at the cross, its worst place`;
  if (passes) return `In its box ${worst}: it passes.`;
  return failing >= 1
    ? `In its box ${worst}: it reaches ${required} nowhere there.`
    : `In its box ${worst}: ${shareWords(failing)} of what it covers falls short of ${required}.`;
}

/** A text tried on the gradient: where it passes along the line and in its box, the least veil that mends it, and its pair at Check. */
export function TextOnGradient({ gradient, trial, tried, size, onChange, onVeil }: TextOnGradientProps) {
  const doc = useProjectDocument();
  const id = useProjectId();
  const navigate = useNavigate();
  const { edit } = useEditing();
  const texts = doc.roles.filter((role) => role.id === trial?.role || usageOf(role, doc.pairs) === 'text');
  const known =
    trial &&
    doc.pairs.find(
      ({ foreground, backdrop }) =>
        foreground === trial.role && backdrop?.kind === 'gradient' && backdrop.gradient === gradient,
    );
  const check = () => {
    if (known) {
      navigate(addressOf(id, 'check', known.id));
      return;
    }
    const pair = trial && trialPair(doc, gradient, trial, size);
    if (pair && edit({ type: 'addPair', pair })) navigate(addressOf(id, 'check', pair.id));
  };
  const { along, inBox, veil } = tried;
  return (
    <section
      aria-label="Text on it"
      data-help="fade-text"
      className="flex flex-wrap items-end gap-x-2 gap-y-1"
    >
      <Choice
        label="Text on it"
        value={trial?.role ?? NONE}
        className="w-44"
        options={[
          { value: NONE, label: 'none' },
          ...texts.map((role) => ({ value: role.id, label: writeRoleName(role) })),
        ]}
        onChange={(role) => {
          const required = trial?.required ?? 3;
          onChange(role ? { role, required, area: trial?.area ?? firstArea(size, required) } : null);
        }}
      />
      {trial && (
        <>
          <Choice
            label="Has to reach"
            value={String(trial.required)}
            className="w-36"
            options={ASKED}
            onChange={(text) => {
              const required = Number(text);
              onChange({ ...trial, required, area: firstArea(size, required) });
            }}
          />
          <p id={TRIED_ID} role="status" className="min-w-0 flex-1 basis-80 pb-1 text-sm">
            {along && inBox
              ? `${inBoxWords(inBox, trial.required)} Along the whole line it ${alongWords(along, trial.required)}.`
              : 'It has no one colour in this theme.'}
          </p>
          <div className="flex gap-2">
            {veil && (
              <Button
                title="Adds a veil under the text, in each theme as strong as needed there, and its pair at Check"
                onPointerEnter={() => onVeil(veil.css)}
                onPointerLeave={() => onVeil(null)}
                onFocus={() => onVeil(veil.css)}
                onBlur={() => onVeil(null)}
                onClick={() => {
                  onVeil(null);
                  if (edit(veil.command)) navigate(addressOf(id, 'check', veil.pair));
                }}
              >
                Add {veil.name}
              </Button>
            )}
            <Button onClick={check} title="As a pair, over the box that it covers">
              {known ? 'Open its pair at Check' : 'Check it where it stands'}
            </Button>
          </div>
        </>
      )}
    </section>
  );
}
