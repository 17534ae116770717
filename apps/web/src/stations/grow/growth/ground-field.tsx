import type { GrowthGround } from '@mint-lamp/core/document/links/growth-ground';
import type { Link } from '@mint-lamp/core/document/links/link';
import { linkName } from '@mint-lamp/core/document/naming/link-name';
import { LinkPicker } from '../../../links/link-picker.tsx';
import { useDocumentPart, useProjectDocument, useTheme } from '../../../store/selectors.ts';
import { Button } from '../../../ui/button.tsx';
import { ColorChip } from '../../../ui/color-chip.tsx';

interface GroundFieldProps {
  family: string;
  ground: GrowthGround;
  /** What it comes to. */
  color: string;
  /** Returns why it is refused, or null. */
  onPick: (ground: GrowthGround) => string | null;
}

/** What a growth by opacity or contrast goes by: a colour, or a shade or role that it follows. */
export function GroundField({ family, ground, color, onPick }: GroundFieldProps) {
  const theme = useTheme().theme.id;
  const link: Link = ground.to === 'role' ? { to: 'role', role: ground.role } : ground;
  // A role is followed as it is in the theme that is switched on when it is picked.
  const pick = (next: Link) =>
    onPick(next.to === 'role' ? { to: 'role', role: next.role, theme } : (next as GrowthGround));
  return (
    <div>
      <p className="mb-0.5 text-sm text-quiet">Ground</p>
      <LinkPicker
        link={link}
        opaque
        exceptFamily={family}
        label="Ground of the growth"
        onPick={pick}
        trigger={
          <Button aria-label={`Ground of the growth: ${color}`} className="w-full justify-start! px-2!">
            <ColorChip css={color} className="size-5" />
            <GroundName ground={ground} />
          </Button>
        }
      />
    </div>
  );
}

function GroundName({ ground }: { ground: GrowthGround }) {
  const document = useProjectDocument();
  const themes = useDocumentPart('themes');
  const name =
    ground.to === 'role'
      ? `${linkName(document, { to: 'role', role: ground.role })} in ${
          themes.find(({ id }) => id === ground.theme)?.name ?? 'a removed theme'
        }`
      : linkName(document, ground);
  return <span className="truncate">{name}</span>;
}
