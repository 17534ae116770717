import { writeRoleName } from '@mint-lamp/core/document/naming/role-name';
import { balanceWays } from '@mint-lamp/core/edits/balance';
import { balanceOf, SIXTY_THIRTY_TEN } from '@mint-lamp/core/judged/balance';
import type { ResolvedTheme } from '@mint-lamp/core/system/resolve';
import { rolePaint } from '@mint-lamp/core/system/roles/role-paint';
import clsx from 'clsx';
import { Fragment, useMemo, useState } from 'react';
import { type AreaShares, areaShares, type PaintedAreas, PLAIN, WIDE } from '../../../scene/area-shares.ts';
import { MeasuredScenes } from '../../../scene/measured-scenes.tsx';
import type { SceneId } from '../../../scene/scenes.ts';
import { useCast } from '../../../scene/use-scene.ts';
import { useEditing } from '../../../store/editing.ts';
import { selectSettledReadout, useSystem } from '../../../store/selectors.ts';
import { useAppSelector } from '../../../store/store.ts';
import { Button } from '../../../ui/button.tsx';
import { ColorChip } from '../../../ui/color-chip.tsx';
import { HelpMark } from '../../../ui/help-mark.tsx';
import { useResting } from '../../../ui/use-resting.ts';
import { useSeenThemes } from '../use-stage-view.ts';

interface BalancePanelProps {
  scenes: readonly SceneId[];
  /** CSS px for which they are laid out; null for their own. */
  width: number | null;
}

const percent = (share: number) => `${(share * 100).toFixed(1)} %`;
/** Roles that are told by name. */
const MOST_ROLES = 10;

/** What families and roles really cover of scenes, beside 60 / 30 / 10, in the themes that are seen. */
export default function BalancePanel({ scenes, width }: BalancePanelProps) {
  const themes = useSeenThemes();
  const [areas, setAreas] = useState<readonly PaintedAreas[] | null>(null);
  return (
    <section aria-label="Share of area" data-help="shares" className="mx-5 mb-3 border-y border-hair py-2">
      <HelpMark of="shares" about="60 / 30 / 10" className="float-right" />
      <MeasuredScenes theme={themes[0]!} scenes={scenes} width={width} onMeasured={setAreas} />
      {areas ? (
        <div className="flex flex-wrap gap-x-8 gap-y-3">
          {themes.map((theme) => (
            <ThemeBalance key={theme.theme.id} theme={theme} areas={areas} />
          ))}
        </div>
      ) : (
        <p role="status" className="text-quiet">
          Counting pixels …
        </p>
      )}
    </section>
  );
}

function ThemeBalance({ theme, areas }: { theme: ResolvedTheme; areas: readonly PaintedAreas[] }) {
  const uses = useCast();
  const { families } = useSystem();
  const shares = useMemo(() => areaShares(areas, uses, theme), [areas, uses, theme]);
  const { families: list, off, inTheWay } = balanceOf(shares.families);
  const nameOf = (key: string) =>
    key === PLAIN
      ? 'plain colours'
      : key === WIDE
        ? 'gradients and pictures'
        : (families.get(key)?.family.name ?? 'gone');
  const paintOf = (key: string) => {
    if (key === WIDE || key === PLAIN) {
      const [role] = [...shares.roles.keys()].filter((id) => !theme.roles.get(id)?.source);
      return key === PLAIN && role ? rolePaint(theme, role) : null;
    }
    return families.get(key)?.base.color.css ?? null;
  };
  return (
    <div className="min-w-80 flex-1" data-balance={theme.theme.id}>
      <p className="mb-1">
        <span className="text-quiet">{theme.theme.name}</span> <b className="font-mono">{percent(off)}</b> off
        60 / 30 / 10
        {inTheWay && (
          <span>
            : {nameOf(inTheWay.key)} covers {percent(inTheWay.by)} more than its share
          </span>
        )}
      </p>
      <div aria-hidden data-specimen className="relative pb-3">
        <div className="flex h-6 overflow-hidden rounded-md border border-hair">
          {list.map(({ key, share }) => (
            <span
              key={key}
              style={{ width: `${share * 100}%`, background: paintOf(key) ?? WIDE_LOOK }}
              title={`${nameOf(key)}, ${percent(share)}`}
            />
          ))}
        </div>
        {/* Where the second and the third family would begin. */}
        {[SIXTY_THIRTY_TEN[0], SIXTY_THIRTY_TEN[0] + SIXTY_THIRTY_TEN[1]].map((place) => (
          <span
            key={place}
            className="absolute bottom-0 h-2.5 border-l-2 border-main"
            style={{ left: `${place * 100}%` }}
          />
        ))}
      </div>
      <div className="flex flex-wrap gap-x-6 gap-y-2">
        <dl
          aria-label={`Families in ${theme.theme.name}`}
          className="grid grid-cols-[auto_auto] content-start gap-x-3"
        >
          {list.map(({ key, share }, i) => (
            <Fragment key={key}>
              <dt className={clsx('flex items-center gap-1.5', inTheWay?.key === key && 'font-semibold')}>
                <ColorChip css={paintOf(key)} className="size-3.5" />
                {nameOf(key)}
              </dt>
              <dd className="text-right font-mono">
                {percent(share)}
                <span className="inline-block w-14 text-quiet">
                  {i < SIXTY_THIRTY_TEN.length ? `/ ${Math.round(SIXTY_THIRTY_TEN[i]! * 100)}` : ''}
                </span>
              </dd>
            </Fragment>
          ))}
          {shares.unpainted > 0.0005 && (
            <>
              <dt className="text-look">not painted</dt>
              <dd className="text-right font-mono">
                {percent(shares.unpainted)}
                <span className="inline-block w-14" />
              </dd>
            </>
          )}
        </dl>
        <Roles theme={theme} shares={shares} />
      </div>
      <Ways theme={theme} shares={shares} />
    </div>
  );
}

/** How gradients and pictures are drawn in the bar, which are of no one colour. */
const WIDE_LOOK = 'repeating-linear-gradient(45deg, #808080 0 3px, #c9c9c9 3px 6px)';

function Roles({ theme, shares }: { theme: ResolvedTheme; shares: AreaShares }) {
  const shown = [...shares.roles].slice(0, MOST_ROLES);
  return (
    <dl
      aria-label={`Roles in ${theme.theme.name}`}
      className="grid grid-cols-[auto_auto] content-start gap-x-3 text-sm"
    >
      {shown.map(([role, share]) => (
        <Fragment key={role}>
          <dt className="flex items-center gap-1.5">
            <ColorChip css={rolePaint(theme, role)} className="size-3.5" />
            {writeRoleName(theme.roles.get(role)!.role)}
          </dt>
          <dd className="text-right font-mono">{percent(share)}</dd>
        </Fragment>
      ))}
    </dl>
  );
}

/** What would bring it nearer, seen before it is taken. */
function Ways({ theme, shares }: { theme: ResolvedTheme; shares: AreaShares }) {
  const { edit, preview } = useEditing();
  const readout = useResting(useAppSelector(selectSettledReadout));
  // Of the project as it is, not of what is looked at.
  const settled = readout.system.themes.get(theme.theme.id);
  const roles = useResting(shares.roles);
  const ways = useMemo(
    () => (settled ? balanceWays(readout, settled, roles, PLAIN) : []),
    [readout, settled, roles],
  );
  if (!ways.length) return null;
  return (
    <ul aria-label={`What brings ${theme.theme.name} closer`} className="mt-2 flex flex-col gap-1">
      {ways.map(({ role, name, off, offThen, passing, command }) => (
        <li key={`${role} ${name}`} className="flex items-center gap-2 text-sm">
          <span className="min-w-0 flex-1">
            {name}: <span className="font-mono">{percent(off - offThen)}</span> closer
            {passing > 0 && `, ${passing} more ${passing === 1 ? 'pair passes' : 'pairs pass'}`}
          </span>
          <Button
            small
            onPointerEnter={() => preview(command)}
            onPointerLeave={() => preview(null)}
            onFocus={() => preview(command)}
            onBlur={() => preview(null)}
            onClick={() => edit(command)}
          >
            Apply
          </Button>
        </li>
      ))}
    </ul>
  );
}
