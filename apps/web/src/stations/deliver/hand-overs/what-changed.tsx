import { slug } from '@mint-lamp/core/document/naming/names';
import { type ChangesSince, isUnchanged } from '@mint-lamp/core/exchange/changes/changes-since';
import type { HandOver } from '@mint-lamp/core/wire/hand-overs';
import { format } from 'date-fns';
import { type ReactNode, useMemo } from 'react';
import { reasonOf } from '../../../fetching/api.ts';
import { useHandedStateQuery } from '../../../fetching/hand-overs-api.ts';
import { useJob } from '../../../jobs/use-job.ts';
import { useProjectDocument, useProjectId, useRegions } from '../../../store/selectors.ts';
import { Button } from '../../../ui/button.tsx';
import { CopyButton } from '../../../ui/copy-button.tsx';
import { Failure } from '../../../ui/notice.tsx';
import { save } from '../../../ui/save-file.ts';

/** Things of a kind that are shown; all of them are in what is copied. */
const MOST = 200;

/** What changed since a hand-over: seen here, told as a list, as names to replace and as a page. */
export function WhatChanged({ handOver }: { handOver: HandOver }) {
  const project = useProjectId();
  const after = useProjectDocument();
  const regions = useRegions();
  const {
    currentData: state,
    error,
    refetch,
  } = useHandedStateQuery(
    { project, handOver: handOver.id },
    // It never changes.
    { refetchOnMountOrArgChange: false },
  );
  const since = format(new Date(handOver.at), 'd MMMM yyyy');
  const input = useMemo(() => {
    if (!state) return null;
    const { leftOut, choices } = handOver;
    const before = { ...state, delivery: { ...state.delivery, leftOut, choices } };
    return { before, after, regions, since };
  }, [state, handOver, after, regions, since]);
  const { result, busy, fault, again } = useJob('whatChanged', input);
  return (
    <section
      aria-label={`What changed since ${since}`}
      aria-busy={busy || !state}
      // biome-ignore lint/a11y/noNoninteractiveTabindex: a scrolling region must be reachable by keyboard
      tabIndex={0}
      className="min-h-0 overflow-auto px-5 pt-3 pb-6"
    >
      <div className="mb-2 flex flex-wrap items-center gap-2">
        <h2 className="mr-auto font-title text-lg font-semibold">What changed since {since}</h2>
        {result && (
          <>
            <CopyButton text={result.list} label="Copy the list of changes for a developer">
              Copy the changes
            </CopyButton>
            <CopyButton text={result.pairs} label="Copy the names to replace">
              Copy names to replace
            </CopyButton>
            <Button small onClick={() => save('rename-colours.mjs', result.script, 'text/javascript')}>
              Script that renames
            </Button>
            <Button
              small
              look="primary"
              onClick={() => save(`${slug(after.name) || 'colours'}-changes.html`, result.page, 'text/html')}
            >
              Page for the client
            </Button>
          </>
        )}
      </div>
      {error && !state && <Failure fault={reasonOf(error)} onAgain={() => void refetch()} />}
      {fault && <Failure fault={fault} onAgain={again} />}
      {!result && !fault && !error && (
        <p role="status" className="text-quiet">
          Comparing …
        </p>
      )}
      {result && <Changes changes={result.changes} />}
    </section>
  );
}

function Changes({ changes }: { changes: ChangesSince }) {
  const { values, ratios, renamed, removed, added } = changes;
  if (isUnchanged(changes)) return <p>Nothing: every value and name is as you handed it over.</p>;
  return (
    <div className="flex flex-col gap-4">
      <Part title="Names" count={renamed.length + removed.length + added.length}>
        {renamed.slice(0, MOST).map(({ kind, from, to }) => (
          <li key={`${kind} ${from}`} className="font-mono text-sm">
            {from} → {to}
          </li>
        ))}
        {removed.slice(0, MOST).map(({ property, instead, why }) => (
          <li key={property} className="text-sm">
            <span className="font-mono">{property}</span> is gone
            {instead ? (
              <>
                ; instead <span className="font-mono">{instead}</span>, since {why}
              </>
            ) : (
              '; nothing stands for it'
            )}
          </li>
        ))}
        {added.length > 0 && (
          <li className="text-sm">
            {added.length === 1 ? 'One is new: ' : `${added.length} are new: `}
            <span className="font-mono">{added.slice(0, 12).join(', ')}</span>
            {added.length > 12 && ' …'}
          </li>
        )}
      </Part>
      <Part title="Values" count={values.length}>
        {values.slice(0, MOST).map(({ kind, name, theme, was, is }) => (
          <li
            key={`${kind} ${name} ${theme}`}
            className="grid grid-cols-[84px_minmax(0,1fr)_minmax(0,1.4fr)] items-center gap-3 border-b border-hair py-1"
          >
            <span aria-hidden className="flex h-7 overflow-hidden rounded-md border border-control">
              <span className="flex-1" style={{ background: was ?? undefined }} />
              <span className="flex-1" style={{ background: is ?? undefined }} />
            </span>
            <span className="min-w-0 truncate">
              {name}
              {theme !== null && <span className="text-quiet"> in {theme}</span>}
            </span>
            <span className="min-w-0 truncate font-mono text-sm">
              {was ?? 'none'} → {is ?? 'none'}
            </span>
          </li>
        ))}
        {values.length > MOST && <li className="text-quiet">… and {values.length - MOST} more</li>}
      </Part>
      <Part title="Contrast" count={ratios.length}>
        {ratios.slice(0, MOST).map(({ pair, theme, was, is, required, passed, passes }) => (
          <li key={`${pair} ${theme}`} className="flex flex-wrap gap-x-3 border-b border-hair py-0.5">
            <span className="min-w-0 flex-1 truncate">
              {pair} <span className="text-quiet">in {theme}</span>
            </span>
            <span className="tabular-nums">
              {was} → {is} of {required}
            </span>
            <span className={passes ? 'w-24 text-quiet' : 'w-24 text-fail'}>
              {passed === passes ? (passes ? 'passes' : 'fails') : passes ? 'passes now' : 'fails now'}
            </span>
          </li>
        ))}
        {ratios.length > MOST && <li className="text-quiet">… and {ratios.length - MOST} more</li>}
      </Part>
    </div>
  );
}

function Part({ title, count, children }: { title: string; count: number; children: ReactNode }) {
  if (!count) return null;
  return (
    <section aria-label={`${title} that changed`}>
      <h3 className="mb-1 font-title font-semibold">
        {title} <span className="font-normal text-quiet">{count}</span>
      </h3>
      <ul>{children}</ul>
    </section>
  );
}
