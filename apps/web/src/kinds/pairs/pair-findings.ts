import { writeRoleName } from '@mint-lamp/core/document/naming/role-name';
import type { FindingGroup, FindingTools } from '../finding.ts';

export const pairFindings = ({ system, go }: FindingTools): FindingGroup => {
  const names = new Map(system.document.roles.map((role) => [role.id, writeRoleName(role)]));
  const name = (role: string) => names.get(role) ?? 'a removed role';
  return {
    title: 'Pairs',
    findings: system.document.pairs.map((pair) => ({
      key: pair.id,
      name: `${name(pair.foreground)} on ${name(pair.background)}`,
      act: go('check', pair.id),
    })),
  };
};
