import { formatRatio, type Rgba } from '@mint-lamp/core/contrast/ratio';
import { describeTarget } from '@mint-lamp/core/contrast/targets';
import type { Pair } from '@mint-lamp/core/system/document';
import type { Measurement } from '@mint-lamp/core/system/measure';
import { repairPair } from '@mint-lamp/core/system/repair-pair';
import clsx from 'clsx';
import { Trash2 } from 'lucide-react';
import type { Ref } from 'react';
import { useNavigate } from 'react-router';
import { addressOf } from '../../addresses.ts';
import { useThemeSwitch } from '../../frame/use-theme-switch.ts';
import { useEditing } from '../../store/editing.ts';
import { selectProject, useProjectDocument, useSystem } from '../../store/selectors.ts';
import { useAppSelector } from '../../store/store.ts';
import { Button } from '../../ui/button.tsx';
import { IconButton } from '../../ui/icon-button.tsx';
import { PairSettings } from './pair-settings.tsx';

interface PairRowProps {
  measurements: readonly Measurement[];
  open: boolean;
  index: number;
  count: number;
  ref: Ref<HTMLLIElement> | undefined;
}

export function PairRow({ measurements, open, index, count, ref }: PairRowProps) {
  const { pair } = measurements[0]!;
  const { roles } = useProjectDocument();
  const { edit } = useEditing();
  const id = useAppSelector((state) => selectProject(state).id);
  const navigate = useNavigate();
  const path = (role: string) => roles.find((r) => r.id === role)?.path ?? 'a role that is gone';
  const name = `${path(pair.foreground)} on ${path(pair.background)}`;
  return (
    <li
      ref={ref}
      data-index={index}
      id={`pair-${pair.id}`}
      aria-posinset={index + 1}
      aria-setsize={count}
      aria-label={name}
      className={clsx(
        'grid grid-cols-[176px_1fr] gap-3 border-t border-hair py-3',
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
          <span className="block truncate font-semibold">{path(pair.foreground)}</span>
          <span className="block truncate text-quiet">on {path(pair.background)}</span>
          <span className="block text-sm text-quiet">
            {describeTarget(pair.target)}, {pair.size} px
          </span>
        </button>
        {open && (
          <div className="mt-2 flex flex-col gap-2">
            <PairSettings pair={pair} />
            <IconButton label={`Remove ${name}`} onClick={() => edit({ type: 'removePair', pair: pair.id })}>
              <Trash2 aria-hidden className="size-4" />
            </IconButton>
          </div>
        )}
      </div>
      <div
        className="grid gap-3"
        style={{ gridTemplateColumns: `repeat(${measurements.length}, minmax(228px, 1fr))` }}
      >
        {measurements.map((m) => (
          <Cell key={m.theme} measurement={m} />
        ))}
      </div>
    </li>
  );
}

/** A pair in one theme: the text itself, its ratio and what it needs; when it fails, the repair beside it. */
function Cell({ measurement }: { measurement: Measurement }) {
  const { pair, text, ground, ratio, required, passes } = measurement;
  const system = useSystem();
  const switchTheme = useThemeSwitch();
  const { edit } = useEditing();
  const theme = system.themes.get(measurement.theme)!;
  const repair = passes ? null : repairPair(system, theme, measurement);
  return (
    <div className="min-w-0">
      <div className="overflow-hidden rounded-md border border-hair">
        <Sample pair={pair} text={text} ground={ground} />
        {repair?.kind === 'repair' && <Sample pair={pair} text={repair.text} ground={repair.ground} after />}
      </div>
      <p className="mt-1 flex flex-wrap items-baseline gap-x-2">
        <span className={clsx('font-mono', passes ? 'text-pass' : 'font-bold text-fail')}>
          {ratio ? formatRatio(ratio) : 'no ratio'}
        </span>
        <span className={clsx('text-sm', passes ? 'text-quiet' : 'text-fail')}>
          {passes ? `passes ${required}` : `needs ${required}`} in {theme.theme.name}
        </span>
      </p>
      {repair?.kind === 'repair' && (
        <Button
          small
          className="mt-1"
          onClick={() => {
            switchTheme(theme.theme.id);
            edit(repair.command);
          }}
        >
          Take {repair.name} for {repair.side === 'foreground' ? 'the text' : 'the ground'}:{' '}
          {formatRatio(repair.ratio)}
        </Button>
      )}
      {repair?.kind === 'repair' && repair.cost && <p className="mt-1 text-sm text-quiet">{repair.cost}</p>}
      {repair?.kind === 'none' && <p className="mt-1 text-sm text-quiet">{repair.reason}</p>}
    </div>
  );
}

const css = ({ r, g, b }: Rgba) => `rgb(${r} ${g} ${b})`;

/** The colours at work at the pair's real size. For sighted eyes; the figures beside it say the same. */
function Sample({
  pair,
  text,
  ground,
  after = false,
}: {
  pair: Pair;
  text: Rgba | null;
  ground: Rgba | null;
  after?: boolean;
}) {
  if (!text || !ground) return <div className="h-13 bg-sunken" />;
  return (
    <div
      aria-hidden
      data-specimen
      className={clsx(
        'relative flex min-h-13 items-center overflow-hidden px-3 py-1',
        after && 'border-t-2 border-main',
      )}
      style={{ background: css(ground), color: css(text) }}
    >
      {pair.target.content === 'graphics' ? (
        <svg
          aria-hidden
          viewBox="0 0 120 32"
          className="h-8"
          fill="none"
          stroke="currentColor"
          strokeWidth="2"
        >
          <rect x="2" y="4" width="52" height="24" rx="6" />
          <circle cx="80" cy="16" r="10" />
          <path d="M74 16l4 4 8-8M102 6v20M110 12v14" />
        </svg>
      ) : (
        <span
          className="whitespace-nowrap"
          style={{ fontSize: pair.size, fontWeight: pair.weight, lineHeight: 1.2 }}
        >
          08:15 to Oster Skerry
        </span>
      )}
      {after && (
        <span className="absolute right-1.5 rounded-[3px] bg-raised px-1 text-[11px] text-main">after</span>
      )}
    </div>
  );
}
