import { FEW_HUES, type HueInUse } from '@mint-lamp/core/judged/readout/needs';
import { useState } from 'react';
import { Link } from 'react-router';
import { addressOf } from '../../../addresses.ts';
import { areaShares, type PaintedAreas } from '../../../scene/area-shares.ts';
import { MeasuredScenes } from '../../../scene/measured-scenes.tsx';
import { useCast } from '../../../scene/use-scene.ts';
import { useProjectId, useSystem, useTheme } from '../../../store/selectors.ts';
import { ColorChip } from '../../../ui/color-chip.tsx';

const LOOKED_AT = ['landing', 'timetable'] as const;

/** The hues in use, each with the share of the page on the Stage that its roles cover. */
export function HueShares({ hues }: { hues: readonly HueInUse[] }) {
  const { families } = useSystem();
  const theme = useTheme();
  const id = useProjectId();
  const uses = useCast();
  const [areas, setAreas] = useState<readonly PaintedAreas[] | null>(null);
  const shares = areas && areaShares(areas, uses, theme);
  const of = ({ roles }: HueInUse) => {
    if (!shares) return null;
    return [...new Set(roles)].reduce((sum, role) => sum + (shares.roles.get(role) ?? 0), 0);
  };
  const rows = hues.map((hue) => ({ hue, share: of(hue) })).sort((a, b) => (b.share ?? 0) - (a.share ?? 0));
  return (
    <div className="w-80">
      <MeasuredScenes theme={theme} scenes={LOOKED_AT} onMeasured={setAreas} />
      <p className="mb-1 text-quiet">Share of the landing page and the timetable, in {theme.theme.name}</p>
      <ul>
        {rows.map(({ hue, share }) => (
          <li key={hue.families[0]} className="flex items-center gap-2 py-0.5">
            <span className="flex min-w-0 flex-1 flex-wrap gap-x-2">
              {hue.families.map((family) => (
                <Link
                  key={family}
                  className="flex items-center gap-1 rounded-md px-1 hover:bg-pressed"
                  to={addressOf(id, 'grow', family)}
                >
                  <ColorChip css={families.get(family)?.base.color.css ?? null} className="size-4" />
                  {families.get(family)?.family.name}
                </Link>
              ))}
            </span>
            <span className="h-2 w-20 bg-sunken">
              <span
                className="block h-full bg-main"
                style={{ width: `${Math.min(100, (share ?? 0) * 100)}%` }}
              />
            </span>
            <span className="w-14 text-right font-mono text-sm">
              {share === null ? '…' : `${(share * 100).toFixed(1)} %`}
            </span>
          </li>
        ))}
      </ul>
      {hues.length > FEW_HUES && (
        <p className="mt-1 text-sm text-quiet">
          About three hues hold a page together; those for notices count as well, though they cover little.
        </p>
      )}
    </div>
  );
}
