import { hexOfRgb8 } from '@mint-lamp/core/color/write';
import { formatRatio, paintedOver, reaches } from '@mint-lamp/core/contrast/ratio';
import {
  isPaired,
  type Standing as Stands,
  type StoodOn,
  standCommand,
  standingOn,
} from '@mint-lamp/core/edits/roles/standing-on';
import type { Painted } from '@mint-lamp/core/system/painted';
import clsx from 'clsx';
import { memo, useCallback, useMemo, useRef } from 'react';
import { useNavigate } from 'react-router';
import { toast } from 'sonner';
import { addressOf } from '../addresses.ts';
import { newId, useEditing } from '../store/editing.ts';
import { useProjectId, useSystem, useTheme } from '../store/selectors.ts';
import { Button } from '../ui/button.tsx';

interface StandingProps {
  painted: Painted;
  on: StoodOn;
}

/** What can stand on the lit colour: the project's texts, its ends, white and black, each as text on it; one press uses it. */
export default function Standing({ painted, on }: StandingProps) {
  const system = useSystem();
  const theme = useTheme();
  const id = useProjectId();
  const navigate = useNavigate();
  const { edit } = useEditing();
  const own = 'role' in on ? on.role : null;
  const texts = useMemo(() => standingOn(system, theme, painted, own), [system, theme, painted, own]);
  const use = (key: string) => {
    const text = texts.find((one) => keyOf(one) === key)!;
    const made = standCommand(system, theme.theme.id, text, on, newId);
    if (made && edit(made.command))
      toast(`${text.name} stands on it now, as a pair`, {
        action: { label: 'See at Check', onClick: () => navigate(addressOf(id, 'check', made.pair)) },
      });
  };
  const latest = useRef(use);
  latest.current = use;
  const used = useCallback((key: string) => latest.current(key), []);
  return (
    <section aria-label="What works on it" data-help="works-on" className="border-t border-hair pt-2">
      <h3 className="text-sm text-quiet">What works on it</h3>
      <ul>
        {texts.map((text) => {
          const { r, g, b } = paintedOver(text.painted, painted);
          return (
            <StandingRow
              key={keyOf(text)}
              id={keyOf(text)}
              name={text.name}
              color={hexOfRgb8(r, g, b)}
              ground={painted.css}
              ratio={formatRatio(text.ratio)}
              level={levelOf(text.ratio)}
              best={text.best}
              paired={isPaired(system.document.pairs, text.link, on)}
              onUse={used}
            />
          );
        })}
      </ul>
    </section>
  );
}

/** Names of shades and of roles may be the same. */
const keyOf = ({ link, name }: Pick<Stands, 'link' | 'name'>) => `${link.to} ${name}`;

interface StandingRowProps {
  id: string;
  name: string;
  /** Of two letters on their ground. */
  color: string;
  ground: string;
  ratio: string;
  level: string;
  best: boolean;
  paired: boolean;
  onUse: (id: string) => void;
}

/** Drawn anew only where it says something else: most levels stay while a colour is dragged. */
const StandingRow = memo(function StandingRow(props: StandingRowProps) {
  const { id, name, color, ground, ratio, level, best, paired, onUse } = props;
  return (
    <li className="flex items-center gap-2 py-0.5">
      <span
        aria-hidden
        data-specimen
        className="inline-flex h-6 w-8 shrink-0 items-center justify-center rounded-[4px] border border-hair text-sm font-semibold"
        style={{ background: ground, color }}
      >
        Aa
      </span>
      <span className={clsx('min-w-0 flex-1 truncate', best && 'font-semibold')} title={name}>
        {name}
      </span>
      {best && <span className="text-sm text-pass">best</span>}
      <span className="font-mono text-sm">{ratio}</span>
      <span className="w-7 text-right text-sm text-quiet">{level}</span>
      {paired ? (
        <span className="w-12 text-center text-sm text-quiet">paired</span>
      ) : (
        <UseButton {...{ id, name, best, onUse }} />
      )}
    </li>
  );
});

interface UseButtonProps {
  id: string;
  name: string;
  best: boolean;
  onUse: (id: string) => void;
}

const UseButton = memo(function UseButton({ id, name, best, onUse }: UseButtonProps) {
  return (
    <Button
      small
      look={best ? 'primary' : 'plain'}
      aria-label={`Use ${name} on it`}
      className="w-12"
      onClick={() => onUse(id)}
    >
      Use
    </Button>
  );
});

/** The highest level that a ratio reaches as body text; large text of AA beneath that. */
function levelOf(ratio: number): string {
  if (reaches(ratio, 7)) return 'AAA';
  if (reaches(ratio, 4.5)) return 'AA';
  return reaches(ratio, 3) ? 'large' : '–';
}
