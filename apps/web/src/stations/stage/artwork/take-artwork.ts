import type { Artwork } from '@mint-lamp/core/document/artworks/artwork';
import { freeName, slugsOf } from '@mint-lamp/core/document/naming/names';
import { matchColors, shadeCandidates } from '@mint-lamp/core/edits/artworks/match-colors';
import { matchPage } from '@mint-lamp/core/edits/artworks/match-page';
import { pageColors } from '@mint-lamp/core/page/page-colors';
import { svgColors } from '@mint-lamp/core/svg/svg-colors';
import type { System } from '@mint-lamp/core/system/resolve';
import { runJob } from '../../../jobs/run-job.ts';
import { newId } from '../../../store/editing.ts';
import { drawingShares } from './drawing-shares.ts';

/** What is to be taken as an artwork: the text of a drawing or a page, with the style sheets of the latter. */
export interface Given {
  readonly text: string;
  readonly sheets: readonly string[];
  /** What it is called where it came from; empty for nothing. */
  readonly name: string;
}

type Taken =
  | { readonly ok: true; readonly artwork: Artwork; readonly left: readonly string[] }
  | { readonly ok: false; readonly reason: string };

/** Whether a text is a drawing; else it is taken for a page. */
const isDrawing = (text: string) =>
  /^\s*(?:<\?xml[^>]*>|<!--[\s\S]*?-->|<!doctype svg[^>]*>|\s)*<(?:svg:)?svg[\s>]/i.test(
    text.slice(0, 20_000),
  );

async function drawingOf({ text, name }: Given, system: System): Promise<Taken> {
  const cleaned = await runJob('cleanDrawing', text);
  if (!cleaned.ok) return cleaned;
  const shares = await drawingShares(cleaned.svg);
  const colors = svgColors(cleaned.svg).filter((color) => shares.has(color));
  const links = Object.fromEntries(matchColors(colors, shadeCandidates(system), shares));
  const artwork = {
    id: newId(),
    name: named(name || 'Drawing', system),
    kind: 'drawing',
    content: cleaned.svg,
    links,
  } as const;
  return { ok: true, artwork, left: cleaned.removed };
}

async function pageOf({ text, sheets, name }: Given, system: System): Promise<Taken> {
  const cleaned = await runJob('cleanPage', { html: text, sheets });
  if (!cleaned.ok) return cleaned;
  const [theme] = [...system.themes.values()];
  const links = theme ? Object.fromEntries(matchPage(system, theme, pageColors(cleaned.html))) : {};
  const artwork = {
    id: newId(),
    name: named(name || 'Page', system),
    kind: 'page',
    content: cleaned.html,
    links,
  } as const;
  const missing = cleaned.missing.map((address) => `the style sheet ${address || 'without an address'}`);
  return { ok: true, artwork, left: [...cleaned.removed, ...missing] };
}

const named = (wanted: string, { document }: System) =>
  freeName(wanted.slice(0, 60), slugsOf(document.artworks));

/** Takes a drawing or page in: cleaned, its colours linked as is proposed. */
export const takeArtwork = (given: Given, system: System): Promise<Taken> =>
  isDrawing(given.text) ? drawingOf(given, system) : pageOf(given, system);
