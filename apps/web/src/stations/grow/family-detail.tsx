import { contrastRatio, formatRatio, type Rgba } from '@mint-lamp/core/contrast/ratio';
import type { ResolvedFamily, ResolvedShade } from '@mint-lamp/core/system/families/resolved-family';
import { paint } from '@mint-lamp/core/system/resolve/painted';
import clsx from 'clsx';
import { memo } from 'react';
import { useNavigate } from 'react-router';
import { addressOf } from '../../addresses.ts';
import { useEditing } from '../../store/editing.ts';
import { selectProject } from '../../store/selectors.ts';
import { useAppSelector } from '../../store/store.ts';
import { useSettled } from '../../store/use-settled.ts';
import { Button } from '../../ui/button.tsx';
import { CopyButton } from '../../ui/copy-button.tsx';
import { PlainLink } from '../../ui/plain-link.tsx';
import { TextField } from '../../ui/text-field.tsx';
import { GrowthPanel } from './growth/growth-panel.tsx';
import { PartedFromBase } from './parted-from-base.tsx';

/** The open family: its shades side by side, its name, and the recipe that it grows by. */
export function FamilyDetail({ resolved, ground }: { resolved: ResolvedFamily; ground: Rgba }) {
  const { family, shades } = resolved;
  const codes = useSettled(resolved.byLabel);
  const id = useAppSelector((state) => selectProject(state).id);
  const { edit, tryEdit } = useEditing();
  const navigate = useNavigate();
  const { growth } = family;
  const against = growth.kind === 'contrast' ? paint(growth.ground) : null;
  const ratioOf = (shade: Rgba) => (against ? formatRatio(contrastRatio(shade, against)) : '');
  return (
    <section
      aria-label={family.name}
      className="mt-3 grid grid-cols-[1fr_300px] gap-5 border-t border-hair bg-raised px-5 py-4 [contain-intrinsic-size:auto_340px] [content-visibility:auto]"
    >
      <div className="min-w-0">
        <div className="mb-3 flex items-end gap-3">
          <TextField
            label="Family"
            value={family.name}
            onCommit={(name) => tryEdit({ type: 'renameFamily', family: family.id, name })}
            className="w-56"
          />
          <Button
            look="danger"
            onClick={() => {
              if (edit({ type: 'removeFamily', family: family.id })) navigate(addressOf(id, 'grow'));
            }}
          >
            Remove
          </Button>
        </div>
        <ol className="flex">
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
        <PartedFromBase resolved={resolved} />
      </div>
      <GrowthPanel family={family.id} growth={family.growth} ground={ground} />
    </section>
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
        className="block h-16 -outline-offset-4"
        style={{ background: shade.css }}
      />
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
      <p className={clsx('pt-1 text-center text-sm', strong && 'font-semibold')}>{label}</p>
      <div className="flex justify-center">
        <CopyButton text={code} bare className="justify-center px-0.5! text-[11px]!" />
      </div>
      <p className="h-4 text-center text-xs text-quiet">{note}</p>
    </>
  );
});
