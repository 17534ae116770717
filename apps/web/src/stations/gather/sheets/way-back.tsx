import { slug } from '@mint-lamp/core/document/naming/names';
import type { SheetChoice } from '@mint-lamp/core/sheet/adopt';
import type { SheetFile } from '@mint-lamp/core/sheet/sheet-files';
import type { SheetSystem } from '@mint-lamp/core/sheet/sheet-system';
import { Printer } from 'lucide-react';
import { useRef, useState } from 'react';
import { toast } from 'sonner';
import { runJob } from '../../../jobs/run-job.ts';
import { useProjectDocument } from '../../../store/selectors.ts';
import { Button } from '../../../ui/button.tsx';
import { save } from '../../../ui/save-file.ts';

interface WayBackProps {
  files: readonly SheetFile[];
  system: SheetSystem;
  choice: SheetChoice;
}

type Work = 'bill' | 'list' | 'sheets';

/** What is handed back to those who keep the sheets: the bill, the list of replacements, the sheets rewritten. */
export function WayBack({ files, system, choice }: WayBackProps) {
  const document = useProjectDocument();
  const [busy, setBusy] = useState<Work | null>(null);
  const [bill, setBill] = useState<string | null>(null);
  const stem = slug(document.name) || 'colours';
  const during = async (what: Work, work: () => Promise<void>) => {
    setBusy(what);
    try {
      await work();
    } catch (error) {
      toast.error((error as Error).message);
    } finally {
      setBusy(null);
    }
  };
  const moved = () => runJob('moveSheets', { files, document, system, choice, at: new Date().toISOString() });
  return (
    <section aria-label="Back to your sheets" className="mb-5">
      <h2 className="font-title text-lg font-semibold">Back to your sheets</h2>
      <p className="mb-1.5 text-sm text-quiet">
        For whoever maintains the sheets: what to fix, what each colour is now called, and the sheets
        rewritten with these names, painting exactly the same.
      </p>
      <div className="flex flex-wrap gap-2">
        <Button
          disabled={busy !== null}
          onClick={() =>
            during('bill', async () => {
              setBill(await runJob('writeBill', { title: document.name, files, system }));
            })
          }
        >
          {busy === 'bill' ? 'Counting …' : 'Colour audit'}
        </Button>
        <Button
          disabled={busy !== null}
          onClick={() =>
            during('list', async () => {
              const { table, replacements } = await moved();
              save(`${stem}-replacements.csv`, table, 'text/csv');
              toast(`${replacements.length} replacements are in the list.`);
            })
          }
        >
          {busy === 'list' ? 'Writing …' : 'List of replacements'}
        </Button>
        <Button
          disabled={busy !== null}
          onClick={() =>
            during('sheets', async () => {
              const { zip } = await moved();
              save(`${stem}-sheets.zip`, zip, 'application/zip');
              toast('The sheets are rewritten. Load colours.css before the others.');
            })
          }
        >
          {busy === 'sheets' ? 'Rewriting …' : 'Rewritten sheets'}
        </Button>
      </div>
      {bill !== null && <BillPage html={bill} name={`${stem}-bill.html`} onClose={() => setBill(null)} />}
    </section>
  );
}

/** The bill as a page in the page, to be printed or kept. */
function BillPage({ html, name, onClose }: { html: string; name: string; onClose: () => void }) {
  const frame = useRef<HTMLIFrameElement>(null);
  return (
    <div className="mt-3">
      <div className="mb-2 flex gap-2">
        <Button onClick={() => frame.current?.contentWindow?.print()}>
          <Printer aria-hidden className="size-4" />
          Print
        </Button>
        <Button onClick={() => save(name, html, 'text/html')}>Save the page</Button>
        <Button look="quiet" onClick={onClose}>
          Close the audit
        </Button>
      </div>
      <iframe
        ref={frame}
        title="Colour audit"
        sandbox="allow-same-origin allow-modals"
        srcDoc={html}
        data-specimen
        className="h-[70vh] w-full rounded-md border border-hair bg-white"
      />
    </div>
  );
}
