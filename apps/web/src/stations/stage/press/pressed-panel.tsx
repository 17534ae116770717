import { formatRatio } from '@mint-lamp/core/contrast/ratio';
import { linkName } from '@mint-lamp/core/document/naming/link-name';
import { writeRoleName } from '@mint-lamp/core/document/naming/role-name';
import { SCENE_USES } from '@mint-lamp/core/document/scenes/scene-uses';
import { repairPair } from '@mint-lamp/core/edits/repairs/repair-pair';
import { measurePair } from '@mint-lamp/core/judged/pairs/measure';
import type { Measurement } from '@mint-lamp/core/judged/pairs/measurement';
import type { ResolvedTheme } from '@mint-lamp/core/system/resolve';
import clsx from 'clsx';
import { useCallback, useEffect, useMemo, useState } from 'react';
import { useNavigate } from 'react-router';
import { addressOf } from '../../../addresses.ts';
import type { Pressable } from '../../../scene/scene-parts.ts';
import { useCast } from '../../../scene/use-scene.ts';
import { useEditing } from '../../../store/editing.ts';
import { selectSettledSystem, useLayers, useProjectId, useSystem } from '../../../store/selectors.ts';
import { useAppSelector } from '../../../store/store.ts';
import { AnchoredPanel } from '../../../ui/anchored-panel.tsx';
import { Button } from '../../../ui/button.tsx';
import { ColorChip } from '../../../ui/color-chip.tsx';
import { part } from '../../../ui/part.tsx';
import { UseChoice } from '../casting/cast-panel.tsx';
import { type PartPlace, placeOfPart } from './place-of-part.ts';
import { RoleLinkChoice } from './role-link-choice.tsx';

const OverPicture = part(() => import('./over-picture.tsx'));

interface PressedPanelProps {
  page: HTMLElement;
  pressed: Pressable;
  scale: number;
  theme: ResolvedTheme;
  onClose: () => void;
}

const SIDES = { text: 'Text', ground: 'Ground', line: 'Line', ring: 'Ring' } as const;

/** What was pressed on a scene: what paints it, how it is read there, and what could paint it instead. */
export default function PressedPanel({ page, pressed, scale, theme, onClose }: PressedPanelProps) {
  const id = useProjectId();
  const navigate = useNavigate();
  const uses = useCast();
  const { preview } = useEditing();
  const system = useSystem();
  const layers = useLayers();
  const [chosen, setChosen] = useState(pressed.sides[0]!.side);
  const painted = pressed.sides.find(({ side }) => side === chosen) ?? pressed.sides[0]!;
  const box = useCallback(() => pressed.element.getBoundingClientRect(), [pressed]);
  useEffect(() => setChosen(pressed.sides[0]!.side), [pressed]);
  // What was only looked at is not left behind by a panel that is closed under the pointer.
  useEffect(
    () => () => {
      preview(null);
    },
    [preview],
  );
  // Where it stands does not change with colours.
  // biome-ignore lint/correctness/useExhaustiveDependencies: the layout decides, and the theme only by what is translucent
  const place = useMemo(() => placeOfPart(page, pressed, uses, theme, scale), [page, pressed, uses, scale]);
  const now = system.themes.get(theme.theme.id);
  if (!now) return null;
  const measured = place && measurePair(system, now, place.pair, layers);
  const entry = uses.get(painted.use)!;
  const role = entry.link?.to === 'role' ? now.roles.get(entry.link.role) : undefined;
  return (
    <AnchoredPanel box={box} label="What paints it" onClose={onClose}>
      <div className="flex w-[386px] flex-col gap-2" data-testid="pressed">
        <div className="flex items-baseline gap-2">
          <h2 className="min-w-0 flex-1 truncate font-title text-lg font-semibold">
            {pressed.words || SCENE_USES[painted.use].name}
          </h2>
          <span className="text-sm text-quiet">{theme.theme.name}</span>
        </div>
        {measured && place && <Ratio measured={measured} place={place} />}
        {!place && pressed.words && <OverPicture page={page} pressed={pressed} theme={now} />}
        <div role="tablist" aria-label="Painted there" className="flex flex-wrap gap-1 border-b border-hair">
          {pressed.sides.map(({ side, use }) => {
            const link = uses.get(use)!.link;
            const resolved = link?.to === 'role' ? now.roles.get(link.role) : undefined;
            return (
              <button
                key={side}
                type="button"
                role="tab"
                aria-selected={side === painted.side}
                onClick={() => setChosen(side)}
                className={clsx(
                  '-mb-px flex items-center gap-1.5 border-b-2 px-1.5 py-1',
                  side === painted.side ? 'border-main' : 'border-transparent text-quiet',
                )}
              >
                <ColorChip css={resolved?.color?.css ?? null} className="size-4" />
                {SIDES[side]}
              </button>
            );
          })}
        </div>
        {role ? (
          <>
            <div className="flex items-baseline gap-2">
              <span className="font-semibold">{writeRoleName(role.role)}</span>
              <span className="min-w-0 flex-1 truncate text-quiet">
                {linkName(system.document, role.link)}
              </span>
              <Button small look="quiet" onClick={() => navigate(addressOf(id, 'assign', role.role.id))}>
                At Assign
              </Button>
            </div>
            {entry.how === 'stand-in' && (
              <p className="text-sm text-look">
                No role is for {SCENE_USES[painted.use].name}: this one stands in.
              </p>
            )}
            <RoleLinkChoice
              role={role}
              theme={now}
              pair={place?.pair ?? null}
              side={place?.sideOf(painted.side) ?? null}
            />
          </>
        ) : (
          <p className="text-quiet">
            {entry.link
              ? 'A gradient or a picture paints it, not a role.'
              : `No role is for ${SCENE_USES[painted.use].name}.`}
          </p>
        )}
        <div className="grid grid-cols-[auto_1fr] items-center gap-2 border-t border-hair pt-2">
          <span className="text-sm text-quiet">{SCENE_USES[painted.use].name} by</span>
          <UseChoice use={painted.use} />
        </div>
        {place && <Mend place={place} theme={theme} onLook={preview} />}
      </div>
    </AnchoredPanel>
  );
}

const measuredWords = ({ passes, required, pair: { target, size } }: Measurement) =>
  `${passes ? 'passes' : 'needs'} ${required} as ${target.content === 'graphics' ? 'graphics' : `${size} px text`}`;

/** How it is read where it stands, now and as it was before what is being looked at. */
function Ratio({ measured, place }: { measured: Measurement; place: PartPlace }) {
  const settled = useAppSelector(selectSettledSystem);
  const layers = useLayers();
  const theme = settled.themes.get(measured.theme);
  const before = theme && measurePair(settled, theme, place.pair, layers);
  const differs = before && before.ratio !== measured.ratio;
  return (
    <p className="flex items-baseline gap-2" role="status">
      <span
        className={clsx('font-mono text-lg whitespace-nowrap', !measured.passes && 'font-bold text-fail')}
      >
        {measured.awaited ? '…' : `${formatRatio(measured.ratio)} : 1`}
      </span>
      <span className="text-sm text-quiet">
        {measured.pair.exempt ? 'disabled: WCAG asks nothing of it' : measuredWords(measured)}
        {measured.over ? ', at its worst place' : ''}
        {differs ? `; ${formatRatio(before.ratio)} before` : ''}
      </span>
    </p>
  );
}

/** The nearest mend of what falls short there, seen before it is taken. */
function Mend({
  place,
  theme,
  onLook,
}: {
  place: PartPlace;
  theme: ResolvedTheme;
  onLook: ReturnType<typeof useEditing>['preview'];
}) {
  const { edit } = useEditing();
  const settled = useAppSelector(selectSettledSystem);
  const layers = useLayers();
  const mend = useMemo(() => {
    const own = settled.themes.get(theme.theme.id);
    const measured = own && measurePair(settled, own, place.pair, layers);
    return measured && !measured.passes ? repairPair(settled, own, measured) : null;
  }, [settled, theme.theme.id, place, layers]);
  if (!mend) return null;
  if (mend.kind === 'none') return <p className="text-sm text-look">{mend.reason}</p>;
  return (
    <div className="flex items-center gap-2 border-t border-hair pt-2">
      <p className="min-w-0 flex-1 text-sm">
        Nearest repair: <b>{mend.name}</b> for the{' '}
        {mend.side === 'foreground' ? 'text' : mend.side === 'veil' ? 'veil' : 'ground'},{' '}
        <span className="font-mono">{formatRatio(mend.ratio)}</span>
        {mend.cost && `; ${mend.cost}`}
      </p>
      <Button
        look="primary"
        small
        onPointerEnter={() => onLook(mend.command)}
        onPointerLeave={() => onLook(null)}
        onFocus={() => onLook(mend.command)}
        onBlur={() => onLook(null)}
        onClick={() => edit(mend.command)}
      >
        Repair it
      </Button>
    </div>
  );
}
