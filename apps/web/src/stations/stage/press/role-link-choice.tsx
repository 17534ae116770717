import { formatRatio } from '@mint-lamp/core/contrast/ratio';
import { type Link, plainLink } from '@mint-lamp/core/document/links/link';
import { writeRoleName } from '@mint-lamp/core/document/naming/role-name';
import { isLayered, type Pair } from '@mint-lamp/core/document/pairs/pair';
import { measureWith } from '@mint-lamp/core/judged/pairs/measure';
import type { ResolvedFamily } from '@mint-lamp/core/system/families/resolved-family';
import { fade } from '@mint-lamp/core/system/painted';
import type { ResolvedTheme } from '@mint-lamp/core/system/resolve';
import type { ResolvedRole } from '@mint-lamp/core/system/roles/resolved-role';
import clsx from 'clsx';
import { memo, useCallback } from 'react';
import { LinkPicker } from '../../../links/link-picker.tsx';
import { useEditing } from '../../../store/editing.ts';
import { selectSettledSystem, useLayers } from '../../../store/selectors.ts';
import { useAppSelector } from '../../../store/store.ts';
import { Button } from '../../../ui/button.tsx';
import { ColorChip } from '../../../ui/color-chip.tsx';

interface RoleLinkChoiceProps {
  role: ResolvedRole;
  theme: ResolvedTheme;
  /** What it is in the place where it was pressed, and which side of that; null where nothing is measured. */
  pair: Pair | null;
  side: 'foreground' | 'background' | null;
}

/**
 * The shades along the role's family and along others, each with the ratio that it would have in this place; seen on all
 * scenes while it is pointed at.
 */
export function RoleLinkChoice({ role, theme, pair, side }: RoleLinkChoiceProps) {
  const { edit, tryEdit, preview } = useEditing();
  // What is offered does not move with what is looked at.
  const settled = useAppSelector(selectSettledSystem);
  const [id, inTheme] = [role.role.id, theme.theme.id];
  const settledRole = settled.themes.get(inTheme)?.roles.get(id);
  const link = plainLink(settledRole?.link ?? null);
  const linking = useCallback(
    (next: Link) => ({ type: 'setLink', role: id, theme: inTheme, link: next }) as const,
    [id, inTheme],
  );
  const look = useCallback((next: Link | null) => preview(next && linking(next)), [preview, linking]);
  const take = useCallback((next: Link) => edit(linking(next)), [edit, linking]);
  const own = settledRole?.source?.family ?? null;
  const [first, ...others] = [...settled.families.values()].sort(
    (a, b) => Number(b.family.id === own) - Number(a.family.id === own),
  );
  const row = (resolved: ResolvedFamily) => (
    <FamilyRow
      key={resolved.family.id}
      resolved={resolved}
      link={link}
      theme={inTheme}
      // Over a gradient or a picture each one costs much: just the role's own family is measured.
      pair={pair && (!isLayered(pair) || resolved.family.id === own) ? pair : null}
      side={side}
      onLook={look}
      onTake={take}
    />
  );
  return (
    <div className="flex flex-col gap-1.5">
      {first && row(first)}
      {others.length > 0 && (
        <ul aria-label="Other families" className="max-h-28 overflow-auto border-t border-hair pt-1.5">
          {others.map((one) => (
            <li
              key={one.family.id}
              className="pb-1 [contain-intrinsic-size:auto_60px] [content-visibility:auto]"
            >
              {row(one)}
            </li>
          ))}
        </ul>
      )}
      <LinkPicker
        link={link}
        label={`Link of ${writeRoleName(role.role)} in ${theme.theme.name}`}
        trigger={
          <Button small className="self-start">
            Another role, a colour, an opacity …
          </Button>
        }
        exceptRole={role.role.id}
        onPick={(next) => tryEdit(linking(next))}
        onPreview={(next) => preview(next && linking(next))}
        onFill={(all) =>
          edit({
            type: 'batch',
            label: `link ${writeRoleName(role.role)} in every theme`,
            commands: settled.document.themes.map(
              (one) => ({ type: 'setLink', role: id, theme: one.id, link: all }) as const,
            ),
          })
        }
      />
    </div>
  );
}

interface FamilyRowProps {
  resolved: ResolvedFamily;
  link: Link | null;
  /** Its id. */
  theme: string;
  pair: Pair | null;
  side: 'foreground' | 'background' | null;
  onLook: (link: Link | null) => void;
  onTake: (link: Link) => void;
}

const FamilyRow = memo(function FamilyRow({
  resolved: { family, shades },
  link,
  theme,
  pair,
  side,
  onLook,
  onTake,
}: FamilyRowProps) {
  const system = useAppSelector(selectSettledSystem);
  const layers = useLayers();
  const settled = system.themes.get(theme)!;
  const opacity = link?.opacity;
  return (
    <div>
      <div className="truncate text-sm text-quiet">{family.name}</div>
      <ul
        aria-label={family.name}
        className="flex flex-wrap gap-0.5"
        onPointerLeave={() => onLook(null)}
        onBlur={() => onLook(null)}
      >
        {[...shades].reverse().map((shade) => {
          const next: Link = {
            to: 'shade',
            family: family.id,
            shade: shade.label,
            ...(opacity === undefined ? {} : { opacity }),
          };
          const on = link?.to === 'shade' && link.family === family.id && link.shade === shade.label;
          const measured =
            pair && side ? measureWith(system, settled, pair, side, fade(shade, opacity ?? 1), layers) : null;
          const ratio = measured && !measured.awaited ? formatRatio(measured.ratio) : null;
          return (
            <li key={shade.label}>
              <button
                type="button"
                aria-pressed={on}
                aria-label={`${family.name} ${shade.label}${ratio ? `, ${ratio} to 1` : ''}`}
                title={`${family.name} ${shade.label}, ${shade.css}${ratio ? `: ${ratio} : 1${measured!.passes ? '' : `, needs ${measured!.required}`}` : ''}`}
                onPointerEnter={() => onLook(next)}
                onFocus={() => onLook(next)}
                onClick={() => onTake(next)}
                className={clsx('w-[31px] rounded-[5px] pb-0.5 text-center', on && 'ring-2 ring-main')}
              >
                <ColorChip css={shade.css} className="block h-6 w-full" />
                <span
                  className={clsx(
                    'block font-mono text-xs leading-tight',
                    measured && !measured.passes ? 'text-fail line-through' : 'text-main',
                  )}
                >
                  {ratio ? ratio.replace(/(\.\d)\d$/, '$1') : ' '}
                </span>
              </button>
            </li>
          );
        })}
      </ul>
    </div>
  );
});
