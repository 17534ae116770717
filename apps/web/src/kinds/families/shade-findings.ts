import type { FindingGroup, FindingTools } from '../finding.ts';

/** Every shade by its family and label; there are many, so they come when something is typed. */
export const shadeFindings = ({ system, go }: FindingTools): FindingGroup => ({
  title: 'Shades',
  whenTyped: true,
  findings: [...system.families.values()].flatMap(({ family, shades }) =>
    shades.map(({ label, css }) => ({
      key: `${family.id} ${label}`,
      name: `${family.name} ${label}`,
      css: () => css,
      act: go('grow', family.id, label),
    })),
  ),
});
