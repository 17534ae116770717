import type { FindingGroup, FindingTools } from '../finding.ts';

export const swatchFindings = ({ system }: FindingTools, select: (swatch: string) => void): FindingGroup => ({
  title: 'Tray',
  findings: system.document.tray.map(({ id, name, color }) => ({
    key: id,
    name,
    css: () => color,
    act: () => select(id),
  })),
});
