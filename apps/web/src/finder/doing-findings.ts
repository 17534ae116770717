import { FILE_FORMATS } from '@mint-lamp/core/exchange/file-formats';
import { addressOf, CHECK_VIEWS, REPAIR_ALL } from '../addresses.ts';
import type { FindingGroup } from '../kinds/finding.ts';

/** What leads to something that is done at a station: files to hand over, views of Check. */
export const handOverFindings = (
  id: string,
  navigate: (to: string, options?: { state: unknown }) => void,
): FindingGroup => ({
  title: 'Hand over',
  findings: FILE_FORMATS.map(({ id: format, name, also }) => ({
    key: format,
    name,
    also: `export download deliver file ${also}`,
    act: () => navigate(addressOf(id, 'deliver', format)),
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
    ...CHECK_VIEWS.map(({ id: view, name, says, also }) => ({
      key: view,
      name: `${name}: ${says}`,
      also,
      act: () => navigate(addressOf(id, 'check', view)),
    })),
  ],
});
