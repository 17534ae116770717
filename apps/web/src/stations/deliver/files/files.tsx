import { slug } from '@mint-lamp/core/document/naming/names';
import { type FileFormatId, fileFormat } from '@mint-lamp/core/exchange/file-formats';
import { Download } from 'lucide-react';
import { useProjectDocument } from '../../../store/selectors.ts';
import { Button } from '../../../ui/button.tsx';
import { DeliverHeader } from '../deliver-header.tsx';
import type { HandingOver } from '../use-hand-over.ts';
import { BeforeHandingOver } from './before-handing-over.tsx';
import { ComesBack } from './comes-back.tsx';
import { FormChoices } from './form-choices.tsx';
import { FormList } from './form-list.tsx';
import { Handed } from './handed.tsx';
import { Preview } from './preview.tsx';
import { useLastHandOver } from './use-last-hand-over.ts';
import { useWrittenFile } from './use-written-file.ts';
import { WhatGoes } from './what-goes.tsx';

/** The forms on the left, the file of one as it is in the middle, what is chosen of it on the right. */
export function Files({ form, handOver }: { form: FileFormatId; handOver: HandingOver }) {
  const { name } = useProjectDocument();
  const last = useLastHandOver(form);
  const written = useWrittenFile(form, last.document);
  const { fileName, mediaType } = fileFormat(form);
  const file = fileName(slug(name) || 'colours');
  const { content } = written;
  return (
    // As high as the station is: the three columns scroll, each for itself.
    <div className="flex h-[calc(100dvh-146px)] min-h-96 flex-col">
      <DeliverHeader view="files" lead="A page that uses these files paints exactly what you see here.">
        <Button
          data-next
          look="primary"
          disabled={content === null || written.busy}
          onClick={() => {
            if (content !== null) handOver.hand({ file, content, mediaType, forms: [form] });
          }}
        >
          <Download aria-hidden className="size-4" /> Download {file}
        </Button>
      </DeliverHeader>
      <div className="grid min-h-0 flex-1 grid-cols-[186px_minmax(0,1fr)_236px] narrow:block">
        <FormList form={form} handOver={handOver} />
        <Preview form={form} file={file} written={written} last={last.handOver} />
        <aside
          aria-label="Choices"
          className="flex min-h-0 flex-col gap-4 overflow-auto border-l border-hair p-3 narrow:border-l-0"
        >
          <Handed state={handOver.state} last={last.handOver} />
          <BeforeHandingOver form={form} otherwise={written.otherwise} />
          <WhatGoes needed={written.needed} />
          <FormChoices form={form} />
          <ComesBack form={form} lost={written.lost} />
        </aside>
      </div>
    </div>
  );
}
