import { applyCommand } from '../document/commands/apply.ts';
import { emptyDocument, type ProjectDocument } from '../document/document.ts';
import { documentSchema } from '../document/document-schema.ts';
import { MOST_SWATCHES } from '../document/tray/swatch.ts';
import { adoptSheet, wholeOf } from '../sheet/adopt.ts';
import { readSheet } from '../sheet/sheet-system.ts';
import { type Aligned, alignedTo, type Holds } from './aligned.ts';
import { documentFrom, lightestFirst, type NamedFamily, type NamedSystem } from './named-system.ts';
import { readCsvTable } from './read-csv.ts';
import { type NamedShape, shapesIn } from './read-swatches.ts';
import { readTokens } from './read-tokens.ts';

/** The kinds of files that are read back. */
export type BackKind = 'tokens' | 'css' | 'csv' | 'svg';

export const BACK_KINDS: Readonly<Record<BackKind, string>> = {
  tokens: 'design tokens',
  css: 'a style sheet',
  csv: 'a table',
  svg: 'a sheet of swatches',
};

export type ReadBack =
  | {
      readonly ok: true;
      readonly kind: BackKind;
      /** The project as it would be. */
      readonly wanted: ProjectDocument;
      /** What of the file cannot be kept, in sentences. */
      readonly losses: readonly string[];
      /** Names of what the project has and the file does not; it stays. */
      readonly stays: readonly string[];
    }
  | { readonly ok: false; readonly reason: string };

const HOLDS: Readonly<Record<BackKind, Holds>> = {
  tokens: { growth: true, pairs: true, told: true },
  css: { growth: false, pairs: false, told: false },
  csv: { growth: false, pairs: false, told: false },
  svg: { growth: false, pairs: false, told: false },
};

/** What a file is, by how it begins. */
function kindOf(text: string): BackKind {
  const start = text
    .replace(/^\ufeff/, '')
    .trimStart()
    .slice(0, 2000);
  if (start.startsWith('{')) return 'tokens';
  if (/^(<\?xml[^>]*>\s*)?(<!--[\s\S]*?-->\s*)*(<!DOCTYPE[^>]*>\s*)?<svg[\s>]/i.test(start)) return 'svg';
  return /^"?kind"?[,;\t]/.test(start) ? 'csv' : 'css';
}

type Read =
  | {
      readonly ok: true;
      readonly document: ProjectDocument;
      readonly losses: readonly string[];
      readonly swatches?: readonly NamedShape[];
    }
  | { readonly ok: false; readonly reason: string };

function fromNamed(read: ReturnType<typeof readTokens>, newId: () => string): Read {
  if (!read.ok) return read;
  const { document, losses } = documentFrom(read.named, newId);
  return { ok: true, document, losses: [...read.losses, ...losses] };
}

function fromCss(text: string, newId: () => string): Read {
  const system = readSheet(text);
  if (!system) return { ok: false, reason: 'There is no colour in this style sheet.' };
  const empty = emptyDocument('From a file', [{ id: newId(), name: 'From a file' }]);
  const adoption = adoptSheet(empty, system, wholeOf(system), newId);
  const result = adoption && applyCommand(empty, adoption.command);
  if (!result) return { ok: false, reason: 'There is no family, role or gradient in this style sheet.' };
  if (!result.ok) return { ok: false, reason: result.reason };
  const losses = system.leftOver.length
    ? [
        `${system.leftOver.length} colours that belong to no family: ${system.leftOver
          .slice(0, 5)
          .map(({ color }) => color)
          .join(', ')}.`,
      ]
    : [];
  return { ok: true, document: result.document, losses };
}

/** A name of a shade as a sheet of ours has it: the family, a space, the label. */
const SHADE = /^(.+) (\S+)$/;

function fromSvg(text: string, newId: () => string): Read {
  const shapes = shapesIn(text);
  if (!shapes) return { ok: false, reason: 'This is no SVG drawing, or a broken one.' };
  const families = new Map<string, NamedFamily & { shades: { label: string; css: string }[] }>();
  const others: NamedShape[] = [];
  for (const shape of shapes) {
    const [, family, label] = SHADE.exec(shape.name ?? '') ?? [];
    if (family && label && !family.includes('.') && !label.includes('.') && /\d/.test(label)) {
      const own = families.get(family) ?? { name: family, shades: [], base: null, recipe: null };
      if (!own.shades.some((one) => one.label === label)) own.shades.push({ label, css: shape.css });
      families.set(family, own);
    } else others.push(shape);
  }
  const whole = [...families.values()]
    .filter(({ shades }) => shades.length >= 3)
    .map((family) => ({ ...family, shades: lightestFirst(family.shades) }));
  const named: NamedSystem = {
    project: null,
    themes: [],
    families: whole,
    roles: [],
    gradients: [],
    pairs: null,
    ground: null,
  };
  const { document, losses } = documentFrom(named, newId);
  const seen = new Set<string>();
  const swatches = others.filter(({ name, css }) => {
    const key = `${name} ${css}`;
    return !seen.has(key) && seen.add(key);
  });
  if (!whole.length && !swatches.length)
    return { ok: false, reason: 'There is no shape with a plain colour in this drawing.' };
  return { ok: true, document, losses, swatches };
}

/**
 * Reads a file back into a project: design tokens, style sheets, our tables, sheets of swatches. What comes out is what the
 * project would be, beside what the file has that it cannot hold; nothing is changed by it. Never throws.
 */
export function readBack(text: string, present: ProjectDocument, newId: () => string): ReadBack {
  const kind = kindOf(text);
  const read: Read =
    kind === 'tokens'
      ? fromNamed(readTokens(text), newId)
      : kind === 'csv'
        ? fromNamed(readCsvTable(text), newId)
        : kind === 'svg'
          ? fromSvg(text, newId)
          : fromCss(text, newId);
  if (!read.ok) return read;
  const isEmpty = !present.families.length && !present.roles.length && !present.gradients.length;
  const { document, stays }: Aligned = alignedTo(
    // An empty project's themes stand for none.
    isEmpty && read.document.roles.length ? { ...present, name: read.document.name, themes: [] } : present,
    kind === 'svg' ? { ...read.document, themes: [] } : read.document,
    HOLDS[kind],
  );
  const room = Math.max(0, MOST_SWATCHES - document.tray.length);
  const wanted = {
    ...document,
    tray: [
      ...document.tray,
      ...(read.swatches ?? []).slice(0, room).map(({ name, css }) => ({
        id: newId(),
        name: name ?? css,
        color: css,
        group: '',
        added: Date.now(),
      })),
    ],
  };
  const { error } = documentSchema.validate(wanted);
  if (error)
    return { ok: false, reason: `What is in the file does not fit into a project: ${error.message}.` };
  const lost = [...new Set(read.losses)];
  return { ok: true, kind, wanted, losses: lost, stays };
}
