import {
  groundsUnder,
  shareFailing,
  type WorstOfGrounds,
  worstOnGrounds,
} from '@mint-lamp/core/contrast/over-colors';
import { type Rgba, reaches } from '@mint-lamp/core/contrast/ratio';
import { applyCommand } from '@mint-lamp/core/document/commands/apply';
import type { Command } from '@mint-lamp/core/document/commands/command';
import { veilRepair } from '@mint-lamp/core/edits/repairs/least-veil';
import { type AlongGradient, alongGradient } from '@mint-lamp/core/gradient/along-gradient';
import { areaWithin } from '@mint-lamp/core/gradient/area';
import { colorsAt, coveredBy } from '@mint-lamp/core/gradient/covered';
import { paintIn } from '@mint-lamp/core/gradient/geometry';
import { type CssGradient, placeStops } from '@mint-lamp/core/gradient/model';
import { groundOf, measurePair } from '@mint-lamp/core/judged/pairs/measure';
import { underTexts } from '@mint-lamp/core/judged/pairs/under-text';
import { clamp } from '@mint-lamp/core/numbers/clamp';
import { resolveSystem } from '@mint-lamp/core/system/resolve';
import { rolePaint } from '@mint-lamp/core/system/roles/role-paint';
import { useDeferredValue, useMemo } from 'react';
import { useSystem, useTheme } from '../../../store/selectors.ts';
import { useSettled } from '../../../store/use-settled.ts';
import type { BoxSize } from '../preview/purposes.ts';
import { boxOf, type TextTrial, trialPair } from './text-trial.ts';

/** What a text comes to in the box that it stands in. */
export interface InBox extends WorstOfGrounds {
  /** The share of it on which it falls short, 0–1. */
  readonly failing: number;
  readonly passes: boolean;
  /** Middle of the worst pixel, px of the preview. */
  readonly x: number;
  readonly y: number;
  /** The part of the line that lies under it, percent within 0–100. */
  readonly from: number;
  readonly to: number;
}

/** The least veil that makes it pass, with the pair that it is laid in. */
interface TrialVeil {
  readonly name: string;
  readonly css: string;
  readonly pair: string;
  readonly command: Command;
}

export interface Tried {
  /** Along the whole line; null where the text has no colour in this theme. */
  readonly along: AlongGradient | null;
  readonly inBox: InBox | null;
  /** Null where it passes, or no veil does it; worked out while nothing moves. */
  readonly veil: TrialVeil | null;
}

const NOTHING: Tried = { along: null, inBox: null, veil: null };

/** Everything that is told of a text that is tried on a gradient, for the theme that is switched on. */
export function useTextTrial(
  gradient: string,
  painted: CssGradient | null,
  straight: CssGradient | null,
  trial: TextTrial | null,
  size: BoxSize,
): Tried {
  const system = useSystem();
  const theme = useTheme();
  const color: Rgba | null = (trial && theme.roles.get(trial.role)?.color) ?? null;
  const { r, g, b } = groundOf(system, theme);
  const required = trial?.required ?? 0;
  const along = useMemo(
    () =>
      straight && color ? alongGradient(color, placeStops(straight), { r, g, b, alpha: 1 }, required) : null,
    [straight, color, r, g, b, required],
  );
  const area = trial?.area ?? null;
  const [width, height] = boxOf(size);
  const inBox = useMemo((): InBox | null => {
    if (!painted || !color || !area) return null;
    const within = areaWithin(area, width, height);
    const painter = paintIn(painted, { width, height });
    const covered = coveredBy(painter, within);
    const grounds = groundsUnder(colorsAt(painter, covered), { r, g, b, alpha: 1 }, null);
    const worst = worstOnGrounds(color, grounds);
    const places = covered.points.map((point) => clamp(painter.placeAt(point), 0, 100));
    return {
      ...worst,
      failing: shareFailing(color, grounds, required),
      passes: reaches(worst.ratio, required),
      x: within.x + (worst.at % within.width) + 0.5,
      y: within.y + Math.floor(worst.at / within.width) + 0.5,
      from: places.reduce((least, place) => Math.min(least, place), 100),
      to: places.reduce((most, place) => Math.max(most, place), 0),
    };
  }, [painted, color, area, width, height, r, g, b, required]);
  const still = useDeferredValue(useSettled(system));
  const asked = useDeferredValue(inBox && !inBox.passes ? trial : null);
  const veil = useMemo((): TrialVeil | null => {
    const pair = asked && trialPair(still.document, gradient, asked, { width, height });
    const result = pair && applyCommand(still.document, { type: 'addPair', pair });
    if (!pair || !result?.ok) return null;
    const next = resolveSystem(result.document, still);
    const there = next.themes.get(theme.theme.id);
    if (!there) return null;
    const found = veilRepair(next, there, measurePair(next, there, pair, underTexts));
    if (found?.command.type !== 'batch') return null;
    const { commands } = found.command;
    const laid = applyCommand(result.document, found.command);
    const role = commands.find((one) => one.type === 'addRole');
    const css =
      laid.ok && role?.type === 'addRole'
        ? rolePaint(resolveSystem(laid.document, next).themes.get(there.theme.id)!, role.role.id)
        : null;
    return {
      name: found.name,
      css: css ?? 'transparent',
      pair: pair.id,
      command: {
        type: 'batch',
        label: 'add a veil under a text',
        commands: [{ type: 'addPair', pair }, ...commands],
      },
    };
  }, [asked, still, gradient, width, height, theme.theme.id]);
  return trial ? { along, inBox, veil } : NOTHING;
}
