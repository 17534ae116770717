import { formatRatio } from '@mint-lamp/core/contrast/ratio';
import { shareWords } from '@mint-lamp/core/contrast/share-words';
import { describeTarget } from '@mint-lamp/core/contrast/targets';
import { usageOf } from '@mint-lamp/core/document/coherence/role-use';
import type { RoleUse } from '@mint-lamp/core/document/roles/use-names';
import type { Measurement } from '@mint-lamp/core/judged/pairs/measurement';
import type { System } from '@mint-lamp/core/system/resolve';
import { rolePaint } from '@mint-lamp/core/system/roles/role-paint';
import clsx from 'clsx';
import { Trash2 } from 'lucide-react';
import { memo, type Ref, useMemo } from 'react';
import { useNavigate } from 'react-router';
import { addressOf } from '../../../addresses.ts';
import { useThemeSwitch } from '../../../kinds/themes/use-theme-switch.ts';
import { useEditing } from '../../../store/editing.ts';
import { useProjectId, useReadout, useTheme } from '../../../store/selectors.ts';
import { Button } from '../../../ui/button.tsx';
import { IconButton } from '../../../ui/icon-button.tsx';
import { part } from '../../../ui/part.tsx';
import { effectWords, wayWords } from '../repair/repair-of.ts';
import { useOffered } from '../repair/use-offered.ts';
import { AreaSample } from '../under-text/area-sample.tsx';
import { PairSettings } from './pair-settings.tsx';
import { Sample } from './sample.tsx';

const UnderTextEditor = part(() => import('../under-text/under-text-editor.tsx'));
const PairAxis = part(() => import('./pair-axis.tsx'), <div className="h-22" />);
const WaysList = part(() => import('../repair/ways-list.tsx'));
const NotesOn = part(() => import('../../../notes/notes-on.tsx'));

/** Px of a theme's column with the gap after it, and of the column of names with its gap. */
export const CELL_WIDTH = 240;
export const NAME_WIDTH = 208;

interface PairRowProps {
  /** Of the pair in the document. */
  place: number;
  /** In words: the text, and what it stands on. */
  text: string;
  ground: string;
  /** What its samples say. */
  words: string;
  measurements: readonly Measurement[];
  /** How they were before what is proposed; null where nothing is. */
  was: readonly Measurement[] | null;
  system: System;
  /** The themes that are in the window. */
  first: number;
  last: number;
  open: boolean;
  index: number;
  count: number;
  ref: Ref<HTMLLIElement> | undefined;
}

/** Whether a row would be drawn the same: its measurements are as they were, and the system matters to failing ones only. */
function sameRow(a: PairRowProps, b: PairRowProps): boolean {
  const { measurements: old, was: oldWas, system: oldSystem, ...restA } = a;
  const { measurements: now, was, system, ...restB } = b;
  return (
    old.length === now.length &&
    (oldWas === null) === (was === null) &&
    (was ?? []).every((m, i) => m === oldWas?.[i]) &&
    now.every(
      (m, i) => m === old[i] && (m.passes || system.themes.get(m.theme) === oldSystem.themes.get(m.theme)),
    ) &&
    Object.keys(restA).every((key) => restA[key as keyof typeof restA] === restB[key as keyof typeof restB])
  );
}

export const PairRow = memo(function PairRow(props: PairRowProps) {
  const { place, text, ground, words, measurements, was, system } = props;
  const { first, last, open, index, count, ref } = props;
  const whole = last - first + 1 === measurements.length;
  const { pair } = measurements[0]!;
  const { edit } = useEditing();
  const id = useProjectId();
  const navigate = useNavigate();
  const name = `${text} on ${ground}`;
  const front = system.document.roles.find((role) => role.id === pair.foreground);
  const use = front ? usageOf(front, system.document.pairs) : 'other';
  return (
    <li
      ref={ref}
      data-index={index}
      id={`pair-${pair.id}`}
      aria-posinset={index + 1}
      aria-setsize={count}
      aria-label={name}
      className={clsx(
        'isolate grid grid-cols-[176px_1fr] gap-3 narrow:grid-cols-1 border-t border-hair py-3',
        open ? 'bg-sunken' : 'bg-ground',
      )}
    >
      <div className="sticky left-0 z-1 min-w-0 bg-inherit pl-1">
        <button
          type="button"
          aria-expanded={open}
          onClick={() => navigate(open ? addressOf(id, 'check') : addressOf(id, 'check', pair.id))}
          className="block w-full rounded-md text-left"
        >
          <span className="block truncate font-semibold">{text}</span>
          <span className="block truncate text-quiet" title={ground}>
            on {ground}
          </span>
          <span className="block text-sm text-quiet">
            {pair.exempt ? 'exempt' : describeTarget(pair.target)}, {pair.size} px
          </span>
        </button>
        {open && (
          <div className="mt-3 flex flex-col items-start gap-2">
            <PairNotes pair={pair.id} />
            <IconButton label={`Remove ${name}`} onClick={() => edit({ type: 'removePair', pair: pair.id })}>
              <Trash2 aria-hidden className="size-4" />
            </IconButton>
          </div>
        )}
      </div>
      <div className="min-w-0">
        {open && <ThemeDetail {...{ place, measurements, system, words }} />}
        <div
          className="grid gap-3 narrow:grid-cols-1!"
          // Many columns have a fixed width: as wide as their content, each row would be laid out to learn its width.
          style={{
            gridTemplateColumns: `repeat(${measurements.length}, ${whole ? 'minmax(228px, 1fr)' : '228px'})`,
          }}
        >
          {measurements.slice(first, last + 1).map((m, i) => (
            <div key={m.theme} className="min-w-0 narrow:col-auto!" style={{ gridColumn: first + i + 1 }}>
              <Cell
                measurement={m}
                was={was?.[first + i] ?? null}
                system={system}
                use={use}
                words={words}
                open={open}
              />
            </div>
          ))}
        </div>
        {open && (
          // Wherever the columns of many themes are scrolled to, all of it is in the window.
          <div
            className="sticky left-[200px] narrow:static mt-4 grid grid-cols-[repeat(auto-fill,minmax(148px,1fr))] items-start gap-x-4 gap-y-3 border-t border-hair pt-3"
            style={whole ? undefined : { maxWidth: 640 }}
          >
            <PairSettings pair={pair} />
          </div>
        )}
      </div>
    </li>
  );
}, sameRow);

/** The axis of the theme that is switched on, where it is among those shown, and where the text stands. */
function ThemeDetail({
  place,
  measurements,
  system,
  words,
}: Pick<PairRowProps, 'place' | 'measurements' | 'system' | 'words'>) {
  const { theme } = useTheme();
  const measurement = measurements.find((one) => one.theme === theme.id) ?? measurements[0]!;
  return (
    <>
      {measurement.pair.backdrop && (
        <UnderTextEditor
          measurement={measurement}
          theme={system.themes.get(measurement.theme)!}
          words={words}
        />
      )}
      <PairAxis place={place} theme={measurement.theme} />
    </>
  );
}

function PairNotes({ pair }: { pair: string }) {
  const on = useMemo(() => ({ kind: 'pair', pair }) as const, [pair]);
  return <NotesOn on={on} />;
}

interface CellProps {
  measurement: Measurement;
  /** How it was before what is proposed. */
  was: Measurement | null;
  system: System;
  /** What the role in front is for. */
  use: RoleUse;
  words: string;
  open: boolean;
}

/** A pair in one theme: the text itself, its ratio and what it needs; when it fails, the repair beside it. */
function Cell({ measurement, was, system, use, words, open }: CellProps) {
  const { pair, text, ground, ratio, required, passes, over, awaited } = measurement;
  const switchTheme = useThemeSwitch();
  const { edit } = useEditing();
  const theme = system.themes.get(measurement.theme)!;
  // While something is proposed, it stands where else the nearest repair does.
  const readout = useReadout();
  const offered = useOffered(readout, passes || awaited || was ? null : measurement);
  const way = offered?.kind === 'way' ? offered.way : null;
  const effect = way && effectWords(way);
  const paints =
    over !== null && over.along !== null
      ? { text: rolePaint(theme, pair.foreground), ground: rolePaint(theme, pair.background) }
      : null;
  const isOther = was !== null && was !== measurement && was.ratio !== ratio;
  return (
    <>
      <div className="overflow-hidden rounded-md border border-hair">
        {pair.backdrop ? (
          <AreaSample measurement={measurement} theme={theme} words={words} />
        ) : (
          <>
            {isOther && <Sample {...{ pair, use, words }} text={was.text} ground={was.ground} large={open} />}
            <Sample {...{ pair, use, words, text, ground, paints }} after={isOther} large={open} />
          </>
        )}
        {way && <Sample {...{ pair, use, words }} text={way.text} ground={way.ground} after large={open} />}
      </div>
      <p className="mt-1 flex flex-wrap items-baseline gap-x-2">
        <span className={clsx('font-mono', passes ? 'text-pass' : 'font-bold text-fail')}>
          {isOther && was.ratio > 0 && `${formatRatio(was.ratio)} → `}
          {ratio ? formatRatio(ratio) : awaited ? '…' : 'no ratio'}
        </span>{' '}
        <span className={clsx('text-sm', passes ? 'text-quiet' : 'text-fail')}>
          {pair.exempt
            ? `exempt in ${theme.theme.name}`
            : `${passes ? 'passes' : 'needs'} ${required} in ${theme.theme.name}`}
          {ratio > 0 && !pair.exempt && `, ${marginWords(ratio, required)}`}
          {over?.bare &&
            over.along === null &&
            over.failing > 0 &&
            !pair.exempt &&
            `; fails on ${shareWords(over.failing)} of what it covers`}
          {over !== null &&
            over.along !== null &&
            `; worst at ${Math.round(over.along)} % of its gradient${over.failing > 0 && !pair.exempt ? `, fails on ${shareWords(over.failing)} of it` : ''}`}
        </span>
      </p>
      {way && !open && (
        <Button
          small
          className="mt-1"
          onClick={() => {
            switchTheme(theme.theme.id);
            edit(way.command);
          }}
        >
          {wayWords(way)}: {formatRatio(way.ratio)}
        </Button>
      )}
      {way && effect && !open && (effect.breaks || effect.mends || way.cost) && (
        <p className="mt-1 text-sm text-quiet">
          {effect.mends && `${effect.mends} `}
          {effect.breaks && <b className="text-fail">{effect.breaks} </b>}
          {way.cost}
        </p>
      )}
      {offered?.kind === 'none' && <p className="mt-1 text-sm text-quiet">{offered.reason}</p>}
      {open && offered && <WaysList measurement={measurement} />}
    </>
  );
}

/** How far a ratio is from what it needs, in the digits that are shown. */
function marginWords(ratio: number, required: number): string {
  const margin = Number(formatRatio(ratio)) - required;
  return margin < 0 ? `${(-margin).toFixed(2)} too low` : `${margin.toFixed(2)} to spare`;
}
