import type { FindingGroup, FindingTools } from '../finding.ts';

export const familyFindings = ({ system, go }: FindingTools): FindingGroup => ({
  title: 'Families',
  findings: [...system.families.values()].map(({ family, shades }) => ({
    key: family.id,
    name: family.name,
    css: () => shades.find((shade) => shade.isBase)?.css ?? null,
    act: go('grow', family.id),
  })),
});
