import { pasteNotes } from '@mint-lamp/core/edits/gradients/pasted-gradient';
import { readSvg } from '@mint-lamp/core/exchange/read-svg';
import { svgGradients } from '@mint-lamp/core/exchange/svg-gradients';
import { findGradients } from '@mint-lamp/core/gradient/find-css';
import type { CssGradient } from '@mint-lamp/core/gradient/model';
import { readGradient } from '@mint-lamp/core/gradient/read-css';
import type { Job } from '../job.ts';

/** A gradient that was found in what was pasted. */
export interface PastedGradient {
  readonly key: string;
  readonly name: string;
  readonly gradient: CssGradient;
  /** What of it could not be brought along, in words. */
  readonly notes: readonly string[];
}

export interface PastedGradients {
  readonly found: readonly PastedGradient[];
  /** Why nothing can be read, where that is so. */
  readonly fault: string | null;
}

/** An SVG file or a piece of one, or a text with CSS in it. */
export type PastedText = { readonly svg: string } | { readonly css: string };

/** Gradients that are listed of one file: as many as a project holds. */
const MOST = 400;

function ofSvg(text: string): PastedGradients {
  const read = readSvg(text);
  if (!read.ok) return { found: [], fault: read.reason };
  const found = svgGradients(read.svg)
    .slice(0, MOST)
    .map(({ id, gradient, notes }) => ({ key: id, name: id, gradient, notes }));
  return {
    found,
    fault: found.length ? null : 'There is no linear or radial gradient with two stops in this SVG.',
  };
}

function ofCss(text: string): PastedGradients {
  const found = findGradients(text).map((one) => ({
    key: one.text,
    name: 'Pasted',
    gradient: one.gradient,
    notes: [...one.notes, ...pasteNotes(one.gradient)],
  }));
  if (found.length || !text.trim()) return { found, fault: null };
  const read = readGradient(
    text
      .trim()
      .replace(/^[\w-]+\s*:\s*/, '')
      .replace(/;\s*$/, ''),
  );
  return { found, fault: read.ok ? null : read.reason };
}

/** The gradients of a text: those of CSS wherever they stand in it, or those of an SVG file. */
const work: Job<PastedText, PastedGradients> = (pasted) =>
  'svg' in pasted ? ofSvg(pasted.svg) : ofCss(pasted.css);
export default work;
