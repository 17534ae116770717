import { slug } from '@mint-lamp/core/document/naming/names';
import { FILE_FORMATS, fileFormat } from '@mint-lamp/core/exchange/file-formats';
import { Download } from 'lucide-react';
import { useMemo } from 'react';
import { useNavigate, useParams } from 'react-router';
import { addressOf } from '../../addresses.ts';
import { useJob } from '../../jobs/use-job.ts';
import { useProjectDocument, useProjectId, useReadout } from '../../store/selectors.ts';
import { Button } from '../../ui/button.tsx';
import { Choice } from '../../ui/choice.tsx';
import { CopyButton } from '../../ui/copy-button.tsx';
import { EmptyState, Failure } from '../../ui/notice.tsx';
import { PageHeader } from '../../ui/page-header.tsx';
import { save } from '../../ui/save-file.ts';
import { Values } from './values.tsx';

const OPTIONS = FILE_FORMATS.map(({ id, name }) => ({ value: id, label: name }));

/** Characters of a file that are shown; browsers lay out millions of them for many seconds. */
const SHOWN = 60_000;
const beginningOf = (text: string) =>
  text.length > SHOWN ? `${text.slice(0, text.lastIndexOf('\n', SHOWN))}\n…` : text;

/** The system as files, exactly as seen, and every value to copy with one click. */
export default function Deliver() {
  const doc = useProjectDocument();
  const readout = useReadout();
  const id = useProjectId();
  const navigate = useNavigate();
  const { form: asked } = useParams();
  const { id: form, fileName, mediaType } = fileFormat(asked);
  // Written off the page's thread; what was written before stays until the next is there.
  const job = useJob(
    'writeFile',
    useMemo(() => ({ document: doc, form }), [doc, form]),
  );
  const text = job.result ?? '';
  const ready = !job.busy && !job.fault;
  const file = fileName(slug(doc.name) || 'colours');
  const failing = readout.pairs * readout.themes - readout.passingOverall;
  if (!doc.families.length && !doc.roles.length && !doc.gradients.length)
    return (
      <>
        <PageHeader title="Deliver" lead="The system as files, and every value to copy." />
        <EmptyState title="Nothing to hand over yet">Grow a family or name a role first.</EmptyState>
      </>
    );
  return (
    // As high as the station is: the two halves scroll, each for itself.
    <div className="flex h-[calc(100dvh-146px)] min-h-96 flex-col">
      <PageHeader title="Deliver" lead="What a page paints with this file is what you see here.">
        <Choice
          label="As"
          value={form}
          options={OPTIONS}
          onChange={(next) => navigate(addressOf(id, 'deliver', next), { replace: true })}
          className="w-52"
        />
        <Button data-next look="primary" disabled={!ready} onClick={() => save(file, text, mediaType)}>
          <Download aria-hidden className="size-4" /> Download {file}
        </Button>
      </PageHeader>
      {(failing > 0 || readout.broken.length > 0) && (
        <p role="status" className="px-5 pb-2 text-look">
          Before you hand over:{' '}
          {[
            failing && `${failing} ${failing === 1 ? 'measurement fails' : 'measurements fail'} at Check`,
            readout.broken.length &&
              `${readout.broken.length} broken ${readout.broken.length === 1 ? 'link' : 'links'}`,
          ]
            .filter(Boolean)
            .join(' and ')}
          .
        </p>
      )}
      <div className="grid min-h-0 flex-1 grid-cols-[minmax(0,5fr)_minmax(0,4fr)] gap-5 px-5 pb-4">
        <Values />
        <section aria-label={file} className="flex min-h-0 min-w-0 flex-col">
          <div className="flex items-center justify-between pb-1">
            <h2 className="font-title font-semibold">{file}</h2>
            {ready ? (
              <CopyButton text={text} label="Copy the whole file">
                Copy all
              </CopyButton>
            ) : (
              <span role="status" className="text-sm text-quiet">
                {job.fault ? '' : 'Writing …'}
              </span>
            )}
          </div>
          {job.fault && <Failure fault={job.fault} onAgain={job.again} />}
          <pre
            aria-busy={job.busy}
            // biome-ignore lint/a11y/noNoninteractiveTabindex: a scrolling region must be reachable by keyboard
            tabIndex={0}
            className="min-h-0 flex-1 overflow-auto rounded-md border border-hair bg-raised p-3 font-mono text-xs"
          >
            {beginningOf(text)}
          </pre>
          {text.length > SHOWN && (
            <p className="pt-1 text-sm text-quiet">
              The beginning of {Math.round(text.length / 1000).toLocaleString('en-GB')} kB. Copied and
              downloaded it is whole.
            </p>
          )}
        </section>
      </div>
    </div>
  );
}
