import { writeRoleName } from '@mint-lamp/core/document/naming/role-name';
import { rolePaint } from '@mint-lamp/core/system/roles/role-paint';
import type { FindingGroup, FindingTools } from '../finding.ts';

export const roleFindings = ({ system, theme, go }: FindingTools): FindingGroup => ({
  title: 'Roles',
  findings: system.document.roles.map((role) => ({
    key: role.id,
    name: writeRoleName(role),
    css: () => rolePaint(theme, role.id),
    act: go('assign', role.id),
  })),
});
