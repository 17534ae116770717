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
import { useMemo } from 'react';
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
  const use = (text: Stands) => {
    const made = standCommand(system, theme.theme.id, text, on, newId);
    if (made && edit(made.command))
      toast(`${text.name} stands on it now, as a pair`, {
        action: { label: 'See at Check', onClick: () => navigate(addressOf(id, 'check', made.pair)) },
      });
  };
  return (
    <section aria-label="What works on it" data-help="works-on" className="border-t border-hair pt-2">
      <h3 className="text-sm text-quiet">What works on it</h3>
      <ul>
        {texts.map((text) => (
          <li key={`${text.name} ${text.painted.css}`} className="flex items-center gap-2 py-0.5">
            <Sample text={text.painted} on={painted} />
            <span className={clsx('min-w-0 flex-1 truncate', text.best && 'font-semibold')} title={text.name}>
              {text.name}
            </span>
            {text.best && <span className="text-sm text-pass">best</span>}
            <span className="font-mono text-sm">{formatRatio(text.ratio)}</span>
            <span className="w-7 text-right text-sm text-quiet">{levelOf(text.ratio)}</span>
            {isPaired(system.document.pairs, text.link, on) ? (
              <span className="w-12 text-center text-sm text-quiet">paired</span>
            ) : (
              <Button
                small
                look={text.best ? 'primary' : 'plain'}
                aria-label={`Use ${text.name} on it`}
                className="w-12"
                onClick={() => use(text)}
              >
                Use
              </Button>
            )}
          </li>
        ))}
      </ul>
    </section>
  );
}

/** Two letters of a text on its ground. */
function Sample({ text, on }: { text: Painted; on: Painted }) {
  const { r, g, b } = paintedOver(text, on);
  return (
    <span
      aria-hidden
      data-specimen
      className="inline-flex h-6 w-8 shrink-0 items-center justify-center rounded-[4px] border border-hair text-sm font-semibold"
      style={{ background: on.css, color: hexOfRgb8(r, g, b) }}
    >
      Aa
    </span>
  );
}

/** The highest level that a ratio reaches as body text; large text of AA beneath that. */
function levelOf(ratio: number): string {
  if (reaches(ratio, 7)) return 'AAA';
  if (reaches(ratio, 4.5)) return 'AA';
  return reaches(ratio, 3) ? 'large' : '–';
}
