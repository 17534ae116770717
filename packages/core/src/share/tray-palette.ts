import type { ProjectDocument } from '../document/document.ts';
import type { PaletteEntry } from '../shelf/shelf-set.ts';

/** The colours of a tray, or of one of its groups; null where the group is gone. */
export function trayPalette(
  { tray }: Pick<ProjectDocument, 'tray'>,
  group: string | null,
): readonly PaletteEntry[] | null {
  const inIt = group === null ? tray : tray.filter((swatch) => swatch.group === group);
  return inIt.length ? inIt.map(({ name, color }) => ({ name, color })) : null;
}
