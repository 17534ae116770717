import type { AlongGradient } from '@mint-lamp/core/contrast/along-gradient';
import { isLargeText } from '@mint-lamp/core/contrast/targets';
import { areaWithin } from '@mint-lamp/core/gradient/area';
import { LONGEST_BOX } from '@mint-lamp/core/system/pairs/backdrop';
import type { Pair } from '@mint-lamp/core/system/pairs/pair';
import { writeRoleName } from '@mint-lamp/core/system/roles/role-name';
import { usageOf } from '@mint-lamp/core/system/roles/role-use';
import { useNavigate } from 'react-router';
import { addressOf } from '../../../addresses.ts';
import { newId, useEditing } from '../../../store/editing.ts';
import { useProjectDocument, useProjectId } from '../../../store/selectors.ts';
import { Button } from '../../../ui/button.tsx';
import { Choice } from '../../../ui/choice.tsx';
import { alongWords, type TextOn } from '../bench/text-lane.tsx';
import type { BoxSize } from '../preview/purposes.ts';

const NONE = '';
const ASKED = [
  { value: '3', label: '3, large text' },
  { value: '4.5', label: '4.5, body text' },
  { value: '7', label: '7, body text AAA' },
];

interface TextOnGradientProps {
  gradient: string;
  text: TextOn | null;
  along: AlongGradient | null;
  size: BoxSize;
  onChange: (text: TextOn | null) => void;
}

/** A text tried on the gradient: where it passes is marked below the strip; at Check it is judged in its place. */
export function TextOnGradient({ gradient, text, along, size, onChange }: TextOnGradientProps) {
  const doc = useProjectDocument();
  const id = useProjectId();
  const navigate = useNavigate();
  const { edit } = useEditing();
  const texts = doc.roles.filter((role) => role.id === text?.role || usageOf(role, doc.pairs) === 'text');
  const known =
    text &&
    doc.pairs.find(
      ({ foreground, backdrop }) =>
        foreground === text.role && backdrop?.kind === 'gradient' && backdrop.gradient === gradient,
    );
  const check = () => {
    if (!text) return;
    if (known) {
      navigate(addressOf(id, 'check', known.id));
      return;
    }
    const ground = doc.ground ?? doc.roles.find((role) => role.id !== text.role)?.id;
    if (!ground) return;
    const [width, height] = [size.width, size.height].map((v) =>
      Math.min(LONGEST_BOX, Math.max(1, Math.round(v))),
    ) as [number, number];
    const letters = text.required === 3 ? 28 : 16;
    const pair: Pair = {
      id: newId(),
      foreground: text.role,
      background: ground,
      target: {
        level: text.required === 7 ? 'AAA' : 'AA',
        content: isLargeText(letters, 400) ? 'large' : 'body',
      },
      size: letters,
      weight: 400,
      backdrop: {
        kind: 'gradient',
        gradient,
        width,
        height,
        text: areaWithin(
          { x: 28, y: height - 24 - letters * 1.2, width: width * 0.4, height: letters * 1.2 },
          width,
          height,
        ),
      },
    };
    if (edit({ type: 'addPair', pair })) navigate(addressOf(id, 'check', pair.id));
  };
  return (
    <section aria-label="Text on it" className="flex flex-wrap items-end gap-2">
      <Choice
        label="Text on it"
        value={text?.role ?? NONE}
        className="w-44"
        options={[
          { value: NONE, label: 'none' },
          ...texts.map((role) => ({ value: role.id, label: writeRoleName(role) })),
        ]}
        onChange={(role) => onChange(role ? { role, required: text?.required ?? 3 } : null)}
      />
      {text && (
        <>
          <Choice
            label="Has to reach"
            value={String(text.required)}
            className="w-36"
            options={ASKED}
            onChange={(required) => onChange({ ...text, required: Number(required) })}
          />
          <p role="status" className="min-w-0 flex-1 pb-1.5 text-sm">
            {along ? `It ${alongWords(along, text.required)}.` : 'It has no colour in this theme.'}
          </p>
          <Button
            onClick={check}
            title="As a pair, over the box that it covers, with the least veil that mends it"
          >
            {known ? 'To its pair at Check' : 'Check it in its place'}
          </Button>
        </>
      )}
    </section>
  );
}
