import { hexOfRgb8 } from '@mint-lamp/core/color/write';
import type { Link } from '@mint-lamp/core/document/links/link';
import { X } from 'lucide-react';
import { memo } from 'react';
import { LinkPicker } from '../../../links/link-picker.tsx';
import { Button } from '../../../ui/button.tsx';
import { ColorChip } from '../../../ui/color-chip.tsx';
import { IconButton } from '../../../ui/icon-button.tsx';
import type { RailGround } from './use-rail-grounds.ts';

interface GroundChoiceProps {
  grounds: readonly RailGround[];
  onChoose: (links: readonly Link[]) => void;
}

const hexOf = ({ color: { r, g, b } }: RailGround) => hexOfRgb8(Math.round(r), Math.round(g), Math.round(b));

/** What the marks stand against: any shade, role or colour, and a second one beside it. */
export const GroundChoice = memo(function GroundChoice({ grounds, onChoose }: GroundChoiceProps) {
  const [first, second] = grounds;
  const links = grounds.map(({ link }) => link);
  const choose = (next: readonly Link[]) => {
    onChoose(next);
    return null;
  };
  return (
    <fieldset aria-label="Marks against" data-help="marks" className="flex items-end gap-1.5">
      <div className="flex flex-wrap items-center gap-x-2 gap-y-0.5">
        <p className="text-sm text-quiet">Marks against</p>
        <div className="flex items-center gap-1.5">
          <One
            ground={first!}
            label="First ground of the marks"
            onPick={(link) => choose([link, ...links.slice(1)])}
          />
          {second ? (
            <>
              <span className="text-quiet">and</span>
              <One
                ground={second}
                label="Second ground of the marks"
                onPick={(link) => choose([links[0]!, link])}
              />
              <IconButton label="Remove the second ground" onClick={() => onChoose([links[0]!])}>
                <X aria-hidden className="size-4" />
              </IconButton>
            </>
          ) : (
            <LinkPicker
              link={null}
              opaque
              label="Second ground of the marks"
              onPick={(link) => choose([links[0]!, link])}
              trigger={<Button look="quiet">and a second …</Button>}
            />
          )}
        </div>
      </div>
    </fieldset>
  );
});

interface OneProps {
  ground: RailGround;
  label: string;
  onPick: (link: Link) => null;
}

function One({ ground, label, onPick }: OneProps) {
  return (
    <LinkPicker
      link={ground.link}
      opaque
      label={label}
      onPick={onPick}
      trigger={
        <Button aria-label={`${label}: ${ground.name}`} className="max-w-40 px-2!">
          <ColorChip css={hexOf(ground)} className="size-4 shrink-0" />
          <span className="truncate">{ground.name}</span>
        </Button>
      }
    />
  );
}
