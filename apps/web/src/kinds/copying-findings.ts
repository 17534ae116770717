import { NOTATIONS } from '@mint-lamp/core/color/notations';
import { colorOf } from '@mint-lamp/core/system/painted';
import { toast } from 'sonner';
import { copyText } from '../ui/copy-text.ts';
import type { FindingGroup } from './finding.ts';
import type { LitColor } from './lit-color.ts';

/** The lit colour in every notation, to copy by name. */
export function copyingFindings({ painted }: Pick<LitColor, 'painted'>): FindingGroup {
  const c = painted && colorOf(painted);
  return {
    title: 'Copy the selected colour',
    whenTyped: true,
    findings: c
      ? NOTATIONS.map(({ id, name, write }) => ({
          key: id,
          name: `Copy as ${name}`,
          note: write(c),
          act: () => {
            copyText(write(c)).then(
              () => toast(`Copied ${write(c)}`),
              () => toast.error(`This page has no clipboard. It is ${write(c)}`),
            );
          },
        }))
      : [],
  };
}
