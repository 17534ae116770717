import { billOf } from '@mint-lamp/core/moving/bill';
import { writeBillPage } from '@mint-lamp/core/moving/bill-page';
import type { SheetFile } from '@mint-lamp/core/sheet/sheet-files';
import type { SheetSystem } from '@mint-lamp/core/sheet/sheet-system';
import { sheetOf } from '@mint-lamp/core/sheet/written/sheet-of';
import type { Job } from '../job.ts';

interface BillInput {
  readonly title: string;
  readonly files: readonly SheetFile[];
  readonly system: SheetSystem;
}

/** What sheets have of colours, as a page to print. */
const work: Job<BillInput, string> = ({ title, files, system }) => {
  const sheets = files.map(sheetOf).flatMap((one) => (one.ok ? one.file : []));
  return writeBillPage(title, billOf(sheets, system));
};
export default work;
