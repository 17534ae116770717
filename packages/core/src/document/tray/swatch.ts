/** A collected colour in the tray. */
export interface Swatch {
  readonly id: string;
  readonly name: string;
  readonly color: string;
  /** The name of the group that it lies in; empty for none. */
  readonly group: string;
  /** When it was collected, ms since 1970; 0 when that is not known. */
  readonly added: number;
}

export const MOST_SWATCHES = 1000;

/** The groups of a tray with what lies in them, in order of first appearance; what lies in none comes first. */
export function groupsOf(
  tray: readonly Swatch[],
): { readonly name: string; readonly swatches: readonly Swatch[] }[] {
  const groups = new Map<string, Swatch[]>([['', []]]);
  for (const swatch of tray) {
    const group = groups.get(swatch.group);
    if (group) group.push(swatch);
    else groups.set(swatch.group, [swatch]);
  }
  return [...groups]
    .map(([name, swatches]) => ({ name, swatches }))
    .filter(({ swatches }) => swatches.length);
}
