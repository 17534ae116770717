import type { FindingGroup, FindingTools } from '../finding.ts';

export const themeFindings = ({ system }: FindingTools, switchTheme: (id: string) => void): FindingGroup => ({
  title: 'Themes',
  findings: system.document.themes.map(({ id, name }) => ({
    key: id,
    name: `Switch to ${name}`,
    act: () => switchTheme(id),
  })),
});
