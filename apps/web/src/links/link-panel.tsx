import { canonical } from '@mint-lamp/core/color/write';
import type { Link } from '@mint-lamp/core/document/links/link';
import { writeRoleName } from '@mint-lamp/core/document/naming/role-name';
import { gradientCss } from '@mint-lamp/core/system/gradients/gradient-css';
import { rolePaint } from '@mint-lamp/core/system/roles/role-paint';
import clsx from 'clsx';
import { useSystem, useTheme } from '../store/selectors.ts';
import { Button } from '../ui/button.tsx';
import { ColorChip } from '../ui/color-chip.tsx';
import { colorTyping, takeTyped } from '../ui/color-text.ts';
import { NumberField } from '../ui/number-field.tsx';
import { TextField } from '../ui/text-field.tsx';
import type { GradientChoice } from './gradient-choice.ts';
import { TwinsWarning } from './twins-warning.tsx';
import { TypedTarget } from './typed-target.tsx';

export interface LinkPanelProps {
  link: Link | null;
  exceptRole: string | undefined;
  exceptFamily: string | undefined;
  opaque: boolean;
  /** Takes a link with the opacity of the present one, and is done. */
  onPick: (link: Link) => void;
  onLook: (link: Link | null) => void;
  /** Takes a link as it is, and goes on. */
  onSet: (link: Link) => void;
  /** Takes the present link in every theme. */
  onFill: ((link: Link) => void) | undefined;
  gradient: (Omit<GradientChoice, 'onPick'> & { readonly onPick: (gradient: string) => void }) | undefined;
}

/** What can be linked to: shades and bases, other roles, a plain colour; and the opacity of the link. */
export default function LinkPanel(props: LinkPanelProps) {
  const { link, exceptRole, exceptFamily, opaque, onPick: pick, onLook: look, onSet: onPick, onFill } = props;
  const { gradient } = props;
  const opacity = link?.opacity;
  return (
    <div className="flex w-[520px] flex-col gap-3">
      <TypedTarget exceptRole={exceptRole} exceptFamily={exceptFamily} onPick={pick} onLook={look} />
      <Shades link={link} onPick={pick} onLook={look} except={exceptFamily} />
      <TwinsWarning />
      {gradient && <Gradients gradient={gradient} onLookAway={() => look(null)} />}
      <div className="grid grid-cols-[1fr_150px] gap-3 border-t border-hair pt-2">
        <Roles link={link} onPick={pick} onLook={look} except={exceptRole} />
        <div className="flex flex-col gap-2">
          <TextField
            label="Plain colour"
            mono
            value={link?.to === 'color' ? link.color : ''}
            {...colorTyping}
            onCommit={(text) =>
              takeTyped(text, (typed) => {
                if (opaque && (typed.alpha ?? 0) < 1) return 'A ground is opaque; leave the alpha out';
                pick({ to: 'color', color: canonical(typed) });
                return null;
              })
            }
          />
          {gradient?.current != null && gradient.onFill && (
            <Button small onClick={() => gradient.onFill!(gradient.current!)}>
              In every theme
            </Button>
          )}
          {link && onFill && (
            <Button small onClick={() => onFill(link)}>
              In every theme
            </Button>
          )}
          {link && !opaque && (
            <NumberField
              label="Opacity"
              unit="%"
              value={(opacity ?? 1) * 100}
              min={0}
              max={100}
              onCommit={(value) => {
                const { opacity: _, ...rest } = link;
                onPick(value === 100 ? (rest as Link) : ({ ...rest, opacity: value / 100 } as Link));
              }}
            />
          )}
        </div>
      </div>
    </div>
  );
}

interface ListProps {
  link: Link | null;
  onPick: (link: Link) => void;
  onLook: (link: Link | null) => void;
}

function Shades({ link, onPick, onLook, except }: ListProps & { except: string | undefined }) {
  const { families } = useSystem();
  if (!families.size) return <p className="text-quiet">There is no family yet: make one at Grow.</p>;
  return (
    <ul
      aria-label="Shades"
      className="flex flex-col gap-1"
      onPointerLeave={() => onLook(null)}
      onBlur={() => onLook(null)}
    >
      {[...families.values()].map(({ family, shades, base }) =>
        family.id === except ? null : (
          <li key={family.id} className="flex items-center gap-2">
            <span className="w-20 shrink-0 truncate text-sm" title={family.name}>
              {family.name}
            </span>
            <BaseChoice
              family={family.id}
              name={family.name}
              css={base.color.css}
              {...{ link, onPick, onLook }}
            />
            <span className="flex flex-1 flex-wrap gap-0.5">
              {[...shades].reverse().map((shade) => {
                const next = { to: 'shade', family: family.id, shade: shade.label } as const;
                const on = link?.to === 'shade' && link.family === family.id && link.shade === shade.label;
                return (
                  <button
                    key={shade.label}
                    type="button"
                    title={`${family.name} ${shade.label}, ${shade.css}`}
                    aria-label={`${family.name} ${shade.label}`}
                    aria-pressed={on}
                    onPointerEnter={() => onLook(next)}
                    onFocus={() => onLook(next)}
                    onClick={() => onPick(next)}
                    className={clsx('rounded-[5px]', on && 'ring-2 ring-main')}
                  >
                    <ColorChip css={shade.css} className="block size-7" />
                  </button>
                );
              })}
            </span>
          </li>
        ),
      )}
    </ul>
  );
}

interface BaseChoiceProps extends ListProps {
  family: string;
  name: string;
  css: string;
}

/** The base itself, which stays the client's colour wherever it comes to stand among the shades. */
function BaseChoice({ family, name, css, link, onPick, onLook }: BaseChoiceProps) {
  const next = { to: 'base', family } as const;
  const on = link?.to === 'base' && link.family === family;
  return (
    <button
      type="button"
      title={`${name} base, ${css}: the base itself, wherever it stands`}
      aria-label={`${name} base`}
      aria-pressed={on}
      onPointerEnter={() => onLook(next)}
      onFocus={() => onLook(next)}
      onClick={() => onPick(next)}
      className={clsx('flex items-center gap-1 rounded-[5px] pr-1 text-sm', on && 'ring-2 ring-main')}
    >
      <ColorChip css={css} className="block size-7" />
      base
    </button>
  );
}

/** The gradients that can paint it, each as it is in the theme that is switched on. */
function Gradients({
  gradient: { current, onPick, onLook },
  onLookAway,
}: {
  gradient: NonNullable<LinkPanelProps['gradient']>;
  onLookAway: () => void;
}) {
  const { gradients } = useTheme();
  if (!gradients.values().length) return null;
  return (
    <div className="border-t border-hair pt-2">
      <h3 className="mb-0.5 text-sm text-quiet">A gradient, for what is filled</h3>
      <ul
        aria-label="Gradients"
        className="flex max-h-24 flex-wrap gap-1.5 overflow-auto p-0.5"
        onPointerLeave={onLookAway}
        onBlur={onLookAway}
      >
        {gradients.values().map((resolved) => {
          const { id, name } = resolved.gradient;
          return (
            <li key={id}>
              <button
                type="button"
                aria-pressed={id === current}
                onPointerEnter={() => onLook?.(id)}
                onFocus={() => onLook?.(id)}
                onClick={() => onPick(id)}
                className={clsx(
                  'w-29 rounded-md p-0.5 text-left hover:bg-pressed',
                  id === current && 'ring-2 ring-main',
                )}
              >
                <span aria-hidden data-specimen className="checker block h-5 overflow-hidden rounded-[4px]">
                  <span
                    className="block size-full"
                    style={{ background: gradientCss(resolved) ?? undefined }}
                  />
                </span>
                <span className="block truncate text-sm">{name}</span>
              </button>
            </li>
          );
        })}
      </ul>
    </div>
  );
}

function Roles({ link, onPick, onLook, except }: ListProps & { except: string | undefined }) {
  const theme = useTheme();
  const { document } = useSystem();
  const roles = document.roles.filter((role) => role.id !== except);
  return (
    <div className="min-w-0">
      <h3 className="mb-0.5 text-sm text-quiet">Another role</h3>
      {!roles.length && <p className="text-quiet">None yet</p>}
      <ul className="max-h-40 overflow-auto" onPointerLeave={() => onLook(null)} onBlur={() => onLook(null)}>
        {roles.map((role) => {
          const next = { to: 'role', role: role.id } as const;
          const on = link?.to === 'role' && link.role === role.id;
          return (
            <li key={role.id}>
              <button
                type="button"
                aria-pressed={on}
                onPointerEnter={() => onLook(next)}
                onFocus={() => onLook(next)}
                onClick={() => onPick(next)}
                className={clsx(
                  'flex w-full items-center gap-2 rounded-md px-1 py-0.5 text-left hover:bg-pressed',
                  on && 'bg-pressed',
                )}
              >
                <ColorChip css={rolePaint(theme, role.id)} className="size-4" />
                <span className="truncate">{writeRoleName(role)}</span>
              </button>
            </li>
          );
        })}
      </ul>
    </div>
  );
}
