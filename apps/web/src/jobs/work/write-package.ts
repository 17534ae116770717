import type { ProjectDocument } from '@mint-lamp/core/document/document';
import { slug } from '@mint-lamp/core/document/naming/names';
import { type FileFormatId, fileFormat } from '@mint-lamp/core/exchange/file-formats';
import { zipped } from '@mint-lamp/core/exchange/zipped';
import { chosenSystem } from '@mint-lamp/core/system/delivery/chosen-system';
import type { Regions } from '@mint-lamp/core/system/pictures/regions';
import { resolveSystem } from '@mint-lamp/core/system/resolve';
import { fontFiles } from '../fonts.ts';
import type { Job } from '../job.ts';

interface PackageInput {
  readonly document: ProjectDocument;
  readonly forms: readonly FileFormatId[];
  /** When, ISO 8601. */
  readonly at: string;
  readonly revision: number;
  readonly regions: Regions;
}

/** A project in several forms as one zip. */
const work: Job<PackageInput, Uint8Array> = async (
  { document, forms, at, revision, regions },
  { progress },
) => {
  const { system } = chosenSystem(resolveSystem(document, undefined, regions), document.delivery.leftOut);
  const stem = slug(document.name) || 'colours';
  const files: { name: string; content: string | Uint8Array }[] = [];
  for (const [i, form] of forms.entries()) {
    const { writer, fileName } = fileFormat(form);
    const write = await writer();
    const { choices } = document.delivery;
    files.push({
      name: fileName(stem),
      content: await write({ system, choices, at, revision, fonts: fontFiles }),
    });
    progress((i + 1) / (forms.length + 1));
  }
  return zipped(files, at);
};
export default work;
