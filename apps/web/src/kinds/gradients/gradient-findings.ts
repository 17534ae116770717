import { gradientCss } from '@mint-lamp/core/system/gradients/gradient-css';
import type { FindingGroup, FindingTools } from '../finding.ts';

export const gradientFindings = ({ system, theme, go }: FindingTools): FindingGroup => ({
  title: 'Gradients',
  findings: system.document.gradients.map(({ id, name }) => ({
    key: id,
    name,
    css: () => {
      const resolved = theme.gradients.get(id);
      return resolved ? gradientCss(resolved) : null;
    },
    act: go('fade', id),
  })),
});
