import type { FindingGroup, FindingTools } from '../finding.ts';

export const pictureFindings = ({ system, go }: FindingTools): FindingGroup => ({
  title: 'Pictures',
  findings: system.document.pictures.map(({ id, name, markers }) => ({
    key: id,
    name,
    ...(markers.length ? { note: `${markers.length} markers` } : {}),
    act: go('gather', 'pictures', id),
  })),
});
