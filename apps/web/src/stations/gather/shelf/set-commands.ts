import { fromRgb8 } from '@mint-lamp/core/color/parse';
import { canonical } from '@mint-lamp/core/color/write';
import type { Command, SimpleCommand } from '@mint-lamp/core/document/commands/command';
import type { ProjectDocument } from '@mint-lamp/core/document/document';
import { plainlyGrounded } from '@mint-lamp/core/document/links/growth-ground';
import { freeName, MOST_NAME, slugsOf } from '@mint-lamp/core/document/naming/names';
import { gradientFromCss } from '@mint-lamp/core/edits/gradients/gradient-from-css';
import { readGradient } from '@mint-lamp/core/gradient/read-css';
import type { ShelfSet } from '@mint-lamp/core/wire/shelf';
import { newFamily } from '../../../kinds/families/new-family.ts';
import { newId } from '../../../store/editing.ts';
import type { Become } from '../taking/become.tsx';

const short = (name: string) => name.slice(0, MOST_NAME - 4).trimEnd();

/** What adopting a set would do, as one edit; null for a whole system, which is read as a style sheet instead. */
export function adoptCommand(document: ProjectDocument, set: ShelfSet, as: Become): Command | null {
  const { content, name } = set;
  const commands: SimpleCommand[] = [];
  const used = slugsOf(document.families);
  if (content.kind === 'palette') {
    const added = Date.now();
    for (const entry of content.colors)
      commands.push(
        as === 'tray'
          ? {
              type: 'addSwatch',
              swatch: { id: newId(), name: entry.name, color: entry.color, group: name, added },
            }
          : {
              type: 'addFamily',
              family: newFamily(entry.color, entry.name, used),
            },
      );
  } else if (content.kind === 'family') {
    const { base, growth, handSet } = content;
    commands.push({
      type: 'addFamily',
      family: {
        id: newId(),
        name: freeName(short(name), used),
        base,
        follows: null,
        growth: plainlyGrounded(growth),
        handSet,
      },
    });
  } else if (content.kind === 'gradient') {
    const read = readGradient(content.css);
    const gradient =
      read.ok &&
      gradientFromCss(
        read.gradient,
        { id: newId(), name: freeName(short(name), slugsOf(document.gradients)) },
        ({ r, g, b, alpha }) => ({ to: 'color', color: canonical(fromRgb8(r, g, b, alpha)) }),
      );
    if (!gradient) return null;
    commands.push({ type: 'addGradient', gradient });
  } else return null;
  return { type: 'batch', label: `adopt ${name.slice(0, 80)}`, commands };
}

/** What adopting will add, in words: "5 colours in the tray, in a group Oxidised copper". */
export function willAdd(set: ShelfSet, as: Become): string {
  switch (set.content.kind) {
    case 'palette': {
      const n = set.content.colors.length;
      return as === 'tray'
        ? `${n} ${n === 1 ? 'colour' : 'colours'} in the tray, in a group of that name`
        : `${n} ${n === 1 ? 'family' : 'families'}, each grown from one colour`;
    }
    case 'family':
      return `a family with its growth, ${set.content.growth.labels.length} shades`;
    case 'gradient':
      return 'a gradient of plain colours at Fade';
    case 'system':
      return 'what you choose of a whole system: its families, roles, themes and gradients are shown first';
  }
}
