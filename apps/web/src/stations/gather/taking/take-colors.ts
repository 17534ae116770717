import { rgb8ToOklch, toRgb8 } from '@mint-lamp/core/color/gamut';
import { readColor } from '@mint-lamp/core/color/parse';
import type { Command, SimpleCommand } from '@mint-lamp/core/document/commands/command';
import type { ProjectDocument } from '@mint-lamp/core/document/document';
import { type Gradient, stopAt } from '@mint-lamp/core/document/gradients/gradient';
import { MOST_NAME, numberedName, slugsOf } from '@mint-lamp/core/document/naming/names';
import type { TextOver } from '@mint-lamp/core/document/pictures/picture';
import type { Role } from '@mint-lamp/core/document/roles/role';
import { pastedGradient } from '@mint-lamp/core/edits/gradients/pasted-gradient';
import type { FittedStop } from '@mint-lamp/core/gradient/fit';
import type { CssGradient } from '@mint-lamp/core/gradient/model';
import type { System } from '@mint-lamp/core/system/resolve';
import { newFamily } from '../../../kinds/families/new-family.ts';
import { newSwatches } from '../../../kinds/tray/new-swatches.ts';
import { newId } from '../../../store/editing.ts';

/** What becomes of colours that are taken from a source: each one command. */

const batch = (label: string, commands: SimpleCommand[]): Command | null =>
  commands.length ? { type: 'batch', label, commands } : null;
const colors = (n: number) => (n === 1 ? '1 colour' : `${n} colours`);

/** Into the tray, in a group named after where they are from; null when all of them lie there already. */
export function toTray({ tray }: ProjectDocument, taken: readonly string[], group: string): Command | null {
  const there = new Set(tray.map(({ color }) => color));
  const fresh = [...new Set(taken)].filter((color) => !there.has(color));
  return batch(
    `take ${colors(fresh.length)} from ${group}`,
    newSwatches(fresh).map((swatch) => ({ type: 'addSwatch', swatch: { ...swatch, group } })),
  );
}

/** A family of each, under its nearest name. */
export function toFamilies({ families }: ProjectDocument, taken: readonly string[]): Command | null {
  const used = slugsOf(families);
  return batch(
    `make ${taken.length === 1 ? 'a family' : `${taken.length} families`} of colours`,
    newSwatches(taken).map(({ name, color }) => ({
      type: 'addFamily',
      family: newFamily(color, name, used),
    })),
  );
}

const lightness = (color: string) => rgb8ToOklch(...toRgb8(readColor(color)))[0];

/** A gradient through them, dark to light, as far as its places go evenly. */
export function toGradient({ gradients }: ProjectDocument, taken: readonly string[], name: string): Gradient {
  const sorted = [...taken].sort((a, b) => lightness(a) - lightness(b));
  return {
    id: newId(),
    name: numberedName(name.slice(0, MOST_NAME - 4).trimEnd(), slugsOf(gradients)),
    kind: 'linear',
    direction: { by: 'angle', degrees: 90 },
    repeating: false,
    space: 'oklab',
    hueWay: 'shorter',
    stops: sorted.map((color, i) =>
      stopAt(newId(), Math.round((i / (sorted.length - 1)) * 1000) / 10, { to: 'color', color }),
    ),
  };
}

/** A gradient with stops where a line across a picture has them, linked to shades that are no farther than `within` (ΔE OK). */
export function toFollowing(
  system: System,
  { gradients }: ProjectDocument,
  stops: readonly FittedStop[],
  name: string,
  within: number,
): Gradient | null {
  const named = {
    id: newId(),
    name: numberedName(name.slice(0, MOST_NAME - 4).trimEnd(), slugsOf(gradients)),
  };
  const css: CssGradient = {
    kind: 'linear',
    direction: { by: 'angle', degrees: 90 },
    repeating: false,
    space: 'oklab',
    hueWay: 'shorter',
    stops: stops.map(({ place, color }) => ({ kind: 'stop', color, places: [{ value: place, unit: '%' }] })),
  };
  return pastedGradient(system, css, named, within);
}

/** Two roles in a group of their own, with a plain colour in every theme, and the pair of them. */
export function toPair(
  { roles, themes }: ProjectDocument,
  text: TextOver,
  ground: string,
): { readonly command: Command; readonly pair: string } {
  const groups = new Set(roles.map(({ group }) => group.join('.')));
  let group = 'picture';
  for (let n = 2; groups.has(group); n++) group = `picture-${n}`;
  const role = (name: string, color: string): Role => ({
    id: newId(),
    group: [group],
    name,
    links: Object.fromEntries(themes.map(({ id }) => [id, { to: 'color' as const, color }])),
  });
  const foreground = role('text', text.color);
  const background = role('ground', ground);
  const pair = newId();
  const commands: SimpleCommand[] = [
    { type: 'addRole', role: foreground },
    { type: 'addRole', role: background },
    {
      type: 'addPair',
      pair: {
        id: pair,
        foreground: foreground.id,
        background: background.id,
        target: text.target,
        size: text.target.content === 'large' ? 24 : 16,
        weight: 400,
      },
    },
  ];
  return { command: { type: 'batch', label: 'make a pair of two colours of a picture', commands }, pair };
}
