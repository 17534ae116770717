import { contrastRatio, formatRatio, type Rgba } from '@mint-lamp/core/contrast/ratio';
import type { ResolvedFamily, ResolvedShade } from '@mint-lamp/core/system/families/resolved-family';
import { paint } from '@mint-lamp/core/system/painted';
import clsx from 'clsx';
import { memo } from 'react';
import { useNavigate } from 'react-router';
import { addressOf } from '../../../addresses.ts';
import { useProjectId } from '../../../store/selectors.ts';
import { useSettled } from '../../../store/use-settled.ts';
import { CopyButton } from '../../../ui/copy-button.tsx';
import { PlainLink } from '../../../ui/plain-link.tsx';

/** The shades of the open family side by side, dark at the left as on its rail. */
export function ShadeTiles({ resolved }: { resolved: ResolvedFamily }) {
  const { family, shades, ground } = resolved;
  const codes = useSettled(resolved.byLabel);
  const id = useProjectId();
  const navigate = useNavigate();
  const against = family.growth.kind === 'contrast' && ground ? paint(ground) : null;
  const ratioOf = (shade: Rgba) => (against ? formatRatio(contrastRatio(shade, against)) : '');
  return (
    <ol aria-label={`Shades of ${family.name}`} className="flex">
      {[...shades].reverse().map((shade) => (
        <ShadeTile
          key={shade.label}
          name={`${family.name} ${shade.label}`}
          to={addressOf(id, 'grow', family.id, shade.label)}
          onGo={navigate}
          shade={shade}
          code={codes.get(shade.label)?.css ?? shade.css}
          note={shade.isBase ? 'base' : shade.handSet ? 'hand-set' : ratioOf(shade)}
        />
      ))}
    </ol>
  );
}

interface ShadeTileProps {
  name: string;
  to: string;
  onGo: (to: string) => void;
  shade: ResolvedShade;
  /** What is copied: while a base is dragged, what it was before. */
  code: string;
  note: string;
}

const ShadeTile = memo(function ShadeTile({ name, to, onGo, shade, code, note }: ShadeTileProps) {
  return (
    <li className="min-w-0 flex-1">
      <PlainLink
        to={to}
        onGo={onGo}
        aria-label={name}
        className="flex h-16 flex-col justify-end -outline-offset-4"
        style={{ background: shade.css }}
      >
        {shade.grown && (
          <span
            data-testid="grown"
            title={`Growth gives ${shade.grown}`}
            className="block h-5 border-t-2 border-raised"
            style={{ background: shade.grown }}
          />
        )}
      </PlainLink>
      <TileText label={shade.label} strong={shade.isBase} code={code} note={note} />
    </li>
  );
});

interface TileTextProps {
  label: string;
  strong: boolean;
  code: string;
  note: string;
}

const TileText = memo(function TileText({ label, strong, code, note }: TileTextProps) {
  return (
    <>
      <p className={clsx('truncate pt-1 text-center text-sm', strong && 'font-semibold')}>{label}</p>
      <div className="flex justify-center">
        <CopyButton text={code} bare className="justify-center px-0.5! text-xs!" />
      </div>
      <p className="h-4 text-center text-sm text-quiet">{note}</p>
    </>
  );
});
