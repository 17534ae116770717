import { EXEMPT_NAMES } from '@mint-lamp/core/document/pairs/pair';
import { type ContrastReport, type ReportedTheme, reportOf } from '@mint-lamp/core/judged/readout/report';
import clsx from 'clsx';
import { useMemo } from 'react';
import { Link } from 'react-router';
import { addressOf } from '../../../addresses.ts';
import { useProjectId, useReadout } from '../../../store/selectors.ts';
import { ColorChip } from '../../../ui/color-chip.tsx';
import { EmptyState } from '../../../ui/notice.tsx';
import { CheckHeader } from '../check-header.tsx';
import { Files, InABuild } from './handed-over.tsx';

/** Pairs that are shown of a theme; the files have all. */
const MOST_SHOWN = 30;

/** What is handed over about contrast: the figures as they are on screen, as files and at an address. @public Found by its file. */
export default function ReportPage() {
  const readout = useReadout();
  const report = useMemo(() => reportOf(readout, null, ''), [readout]);
  if (!readout.pairs && !readout.exempt)
    return (
      <>
        <CheckHeader view="report" lead="Every pair in every theme, ready to send." />
        <EmptyState title="Nothing to report yet">Pairs are reported: make some first.</EmptyState>
      </>
    );
  return (
    <>
      <CheckHeader
        view="report"
        lead={`${report.passing} of ${report.of} measurements pass, by ${report.rules}.`}
      />
      <div className="grid grid-cols-[minmax(0,1fr)_300px] narrow:grid-cols-1 gap-6 px-5 pb-5">
        <div className="flex min-w-0 flex-col gap-5">
          {report.themes.map((theme) => (
            <FailingIn key={theme.name} theme={theme} />
          ))}
          <Exempt report={report} />
          <Declined report={report} />
          <p className="text-sm text-quiet">
            Only what fails is listed here; the files have every pair. Ratios are cut to two decimals and
            never rounded up.
          </p>
        </div>
        <div className="flex flex-col gap-5">
          <Files />
          <InABuild />
        </div>
      </div>
    </>
  );
}

/** What fails in a theme, each pair with its colours and how far it comes. */
function FailingIn({ theme: { name, passing, of, pairs } }: { theme: ReportedTheme }) {
  const id = useProjectId();
  return (
    <section aria-label={name}>
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
            .slice(0, MOST_SHOWN)
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
                <td className="border-b border-hair py-1 pl-2 text-right font-mono font-bold text-fail">
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
