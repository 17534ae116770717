import { addressOf, DELIVERED, REPAIR_ALL } from '../addresses.ts';
import type { FindingGroup } from '../kinds/finding.ts';

/** What leads to something that is done at a station: files to hand over, views of Check. */
export const handOverFindings = (
  id: string,
  navigate: (to: string, options?: { state: unknown }) => void,
): FindingGroup => ({
  title: 'Hand over',
  findings: DELIVERED.map(({ value, label, also }) => ({
    key: value,
    name: label,
    also: `export download deliver file ${also}`,
    act: () => navigate(addressOf(id, 'deliver', value)),
  })),
});

export const checkFindings = (
  id: string,
  navigate: (to: string, options?: { state: unknown }) => void,
): FindingGroup => ({
  title: 'Check',
  findings: [
    {
      key: 'repair',
      name: 'Repair all failing pairs',
      also: 'mend fix contrast',
      act: () => navigate(addressOf(id, 'check'), { state: REPAIR_ALL }),
    },
    {
      key: 'matrix',
      name: 'Matrix: all texts on all grounds',
      also: 'contrast table',
      act: () => navigate(addressOf(id, 'check', 'matrix')),
    },
    {
      key: 'readers',
      name: 'Readers: as others see it',
      also: 'colour blind vision deficiency simulate',
      act: () => navigate(addressOf(id, 'check', 'readers')),
    },
    {
      key: 'report',
      name: 'Report: to hand over, as CSV or JSON',
      also: 'export download',
      act: () => navigate(addressOf(id, 'check', 'report')),
    },
  ],
});
