import { slug } from '@mint-lamp/core/document/naming/names';
import { EXEMPT_NAMES } from '@mint-lamp/core/document/pairs/pair';
import { REPORT_FORMATS, type ReportFormatId } from '@mint-lamp/core/exchange/report-formats';
import { type ContrastReport, reportOf } from '@mint-lamp/core/judged/readout/report';
import clsx from 'clsx';
import { useMemo, useState } from 'react';
import { useStore } from 'react-redux';
import { Link } from 'react-router';
import { addressOf } from '../../../addresses.ts';
import { runJob } from '../../../jobs/run-job.ts';
import { selectProject, selectRegions, useProjectId, useReadout } from '../../../store/selectors.ts';
import type { AppStore } from '../../../store/store.ts';
import { whenSaved } from '../../../store/when-saved.ts';
import { Button } from '../../../ui/button.tsx';
import { ColorChip } from '../../../ui/color-chip.tsx';
import { CopyButton } from '../../../ui/copy-button.tsx';
import { EmptyState } from '../../../ui/notice.tsx';
import { save } from '../../../ui/save-file.ts';
import { CheckHeader } from '../check-header.tsx';

/** What is handed over about contrast: the figures as they are on screen, as files and at an address. @public Found by its file. */
export default function ReportPage() {
  const readout = useReadout();
  const id = useProjectId();
  const store = useStore() as AppStore;
  const [busy, setBusy] = useState<ReportFormatId | null>(null);
  const [fault, setFault] = useState<string | null>(null);
  const report = useMemo(() => reportOf(readout, null, ''), [readout]);
  const address = `${location.origin}/api/projects/${id}/report`;
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
  if (!readout.pairs && !readout.exempt)
    return (
      <>
        <CheckHeader view="report" lead="Every pair in every theme, to hand over." />
        <EmptyState title="Nothing to report yet">Pairs are reported: make some first.</EmptyState>
      </>
    );
  return (
    <>
      <CheckHeader
        view="report"
        lead={`${report.passing} of ${report.of} measurements pass, by ${report.rules}.`}
      />
      <div className="grid grid-cols-[minmax(0,1fr)_300px] gap-6 px-5 pb-5">
        <div className="flex min-w-0 flex-col gap-5">
          {report.themes.map(({ name, passing, of, pairs }) => (
            <section key={name} aria-label={name}>
              <h2 className="mb-1 font-title font-semibold">
                {name}{' '}
                <span className={clsx('text-sm font-normal', passing < of ? 'text-fail' : 'text-quiet')}>
                  {passing} of {of} pass
                </span>
              </h2>
              <table className="w-full border-separate border-spacing-0">
                <caption className="sr-only">Pairs that fail in {name}</caption>
                <tbody>
                  {pairs
                    .filter(({ verdict }) => verdict !== 'passes' && verdict !== 'exempt')
                    .slice(0, 30)
                    .map((pair) => (
                      <tr key={pair.pair}>
                        <td className="w-16 border-b border-hair py-1">
                          <span className="flex">
                            <ColorChip css={pair.textColor} className="h-5 w-7 rounded-r-none" />
                            <ColorChip css={pair.groundColor} className="h-5 w-7 rounded-l-none" />
                          </span>
                        </td>
                        <th scope="row" className="border-b border-hair py-1 text-left font-normal">
                          <Link to={addressOf(id, 'check', pair.pair)} className="hover:underline">
                            {pair.text} on {pair.ground}
                          </Link>
                        </th>
                        <td className="border-b border-hair py-1 text-right font-mono font-bold text-fail">
                          {pair.ratio ?? (pair.verdict === 'broken' ? 'broken' : '…')}
                        </td>
                        <td className="w-56 border-b border-hair py-1 pl-3 text-sm text-quiet">
                          needs {pair.required}, {pair.target}
                        </td>
                      </tr>
                    ))}
                </tbody>
              </table>
            </section>
          ))}
          <Exempt report={report} />
          <Declined report={report} />
          <p className="text-sm text-quiet">
            Here stands what fails; the files have every pair. Ratios are cut after two digits and never
            rounded up.
          </p>
        </div>
        <div className="flex flex-col gap-5">
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
        </div>
      </div>
    </>
  );
}

/** What has not to reach its target, with the reason; it is so in every theme. */
function Exempt({ report }: { report: ContrastReport }) {
  const id = useProjectId();
  const exempt = report.themes[0]?.pairs.filter(({ exempt: one }) => one) ?? [];
  if (!exempt.length) return null;
  return (
    <section aria-label="Exempt">
      <h2 className="mb-1 font-title font-semibold">Exempt</h2>
      <ul>
        {exempt.map((pair) => (
          <li key={pair.pair} className="border-b border-hair py-1">
            <Link to={addressOf(id, 'check', pair.pair)} className="hover:underline">
              {pair.text} on {pair.ground}
            </Link>
            <span className="block text-sm text-quiet">
              {EXEMPT_NAMES[pair.exempt!.as]}. {pair.exempt!.reason}
            </span>
          </li>
        ))}
      </ul>
    </section>
  );
}

/** Pairs that were suggested and are not wanted, with the reason. */
function Declined({ report: { declined } }: { report: ContrastReport }) {
  if (!declined.length) return null;
  return (
    <section aria-label="Declined">
      <h2 className="mb-1 font-title font-semibold">Declined</h2>
      <ul>
        {declined.map(({ text, ground, reason }) => (
          <li key={`${text} ${ground}`} className="border-b border-hair py-1">
            {text} on {ground}
            <span className="block text-sm text-quiet">{reason}</span>
          </li>
        ))}
      </ul>
    </section>
  );
}
