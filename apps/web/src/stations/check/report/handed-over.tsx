import { slug } from '@mint-lamp/core/document/naming/names';
import { REPORT_FORMATS, type ReportFormatId } from '@mint-lamp/core/exchange/report-formats';
import { useState } from 'react';
import { useStore } from 'react-redux';
import { Link } from 'react-router';
import { addressOf } from '../../../addresses.ts';
import { runJob } from '../../../jobs/run-job.ts';
import { selectProject, selectRegions, useProjectId } from '../../../store/selectors.ts';
import type { AppStore } from '../../../store/store.ts';
import { whenSaved } from '../../../store/when-saved.ts';
import { Button } from '../../../ui/button.tsx';
import { CopyButton } from '../../../ui/copy-button.tsx';
import { save } from '../../../ui/save-file.ts';

/** Writes the report as a file: in a worker, of the revision that the server has. */
function useReportFiles() {
  const id = useProjectId();
  const store = useStore() as AppStore;
  const [busy, setBusy] = useState<ReportFormatId | null>(null);
  const [fault, setFault] = useState<string | null>(null);
  const download = async (form: ReportFormatId, type: string) => {
    setBusy(form);
    setFault(null);
    try {
      // The report names the revision that it is of, so that has to be the server's.
      const revision = await whenSaved(store, id);
      const { document } = selectProject(store.getState());
      const text = await runJob('writeReport', {
        document,
        revision,
        at: new Date().toISOString(),
        form,
        regions: selectRegions(store.getState()),
      });
      save(`${slug(document.name) || 'colours'}-contrast.${form}`, text, type);
    } catch (error) {
      setFault(error instanceof Error ? error.message : 'The report could not be written.');
    } finally {
      setBusy(null);
    }
  };
  return { busy, fault, download };
}

/** The report as files. */
export function Files() {
  const { busy, fault, download } = useReportFiles();
  return (
    <section aria-label="Files">
      <h2 className="mb-1 font-title font-semibold">To hand over</h2>
      <ul className="flex flex-col gap-1.5">
        {REPORT_FORMATS.map(({ id: form, name, says, mediaType }) => (
          <li key={form} className="flex items-center gap-2">
            <Button
              data-next={form === 'html' || undefined}
              look={form === 'html' ? 'primary' : 'plain'}
              disabled={busy !== null}
              onClick={() => void download(form, mediaType)}
              className="w-32"
            >
              {busy === form ? 'Writing …' : `${name} (${form.toUpperCase()})`}
            </Button>
            <span className="text-sm text-quiet">{says}</span>
          </li>
        ))}
      </ul>
      {fault && (
        <p role="alert" className="mt-1 text-sm text-fail">
          {fault}
        </p>
      )}
    </section>
  );
}

/** The report for a build: its address, and a script that fails one. */
export function InABuild() {
  const id = useProjectId();
  const address = `${location.origin}/api/projects/${id}/report`;
  return (
    <section aria-label="In a build">
      <h2 className="mb-1 font-title font-semibold">In a build</h2>
      <p className="mb-1 text-sm text-quiet">The newest state as JSON, at this address:</p>
      <CopyButton text={address} className="w-full justify-between" />
      <p className="mt-2 mb-1 text-sm text-quiet">
        Or a script that fails a build when a pair fails in the delivered CSS; it is at{' '}
        <Link to={addressOf(id, 'deliver')} className="underline underline-offset-2">
          Deliver
        </Link>
        , and runs with:
      </p>
      <CopyButton text="node check-contrast.mjs colours.css" className="w-full justify-between" />
    </section>
  );
}
