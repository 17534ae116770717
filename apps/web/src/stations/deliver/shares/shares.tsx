import type { MadeShare } from '@mint-lamp/core/wire/shares';
import { useState } from 'react';
import { useParams, useSearchParams } from 'react-router';
import { reasonOf } from '../../../fetching/api.ts';
import { useProposalsQuery, useSharesQuery } from '../../../fetching/shares-api.ts';
import { useProjectDocument, useProjectId } from '../../../store/selectors.ts';
import { Button } from '../../../ui/button.tsx';
import { EmptyState, Failure } from '../../../ui/notice.tsx';
import { DeliverHeader } from '../deliver-header.tsx';
import { MadeAddress } from './made-address.tsx';
import { NewShareDialog } from './new-share.tsx';
import { ProposalList } from './proposal-list.tsx';
import { ProposalView } from './proposal-view.tsx';
import { ShareList } from './share-list.tsx';
import { type Sharable, sharablesOf } from './subjects.ts';

/** What others do with a share is seen here without asking, every so many ms. */
const LOOK_AGAIN_MS = 20_000;

/** A set on the shelf that somebody has come from, to share it. */
function fromShelf(of: string, called: string | null): Sharable[] {
  const [, set] = /^set\.([\da-f-]{36})$/.exec(of) ?? [];
  if (!set) return [];
  const subject = { kind: 'set', set } as const;
  return [{ value: of, label: called ?? 'A set', group: 'From the shelf', subject }];
}

/** Addresses that are given to people outside, and what came back by them. */
export default function Shares() {
  const project = useProjectId();
  const document = useProjectDocument();
  const { handOver: asked } = useParams();
  const [search, setSearch] = useSearchParams();
  const following = { pollingInterval: LOOK_AGAIN_MS, skipPollingIfUnfocused: true };
  const { currentData: shares, error, refetch } = useSharesQuery(project, following);
  const { currentData: proposals = [] } = useProposalsQuery(project, following);
  const [made, setMade] = useState<MadeShare | null>(null);
  const of = search.get('of');
  const proposal = proposals.find(({ id }) => id === asked);
  if (proposal) return <ProposalView key={proposal.id} proposal={proposal} />;
  return (
    <>
      <DeliverHeader
        view="shares"
        lead="Addresses for people outside: to look, to try, to note. Each shows one thing, expires, and can be shut at any time."
      >
        <Button look="primary" onClick={() => setSearch({ of: 'project' })}>
          New share …
        </Button>
      </DeliverHeader>
      {made && <MadeAddress key={made.token} made={made} onDone={() => setMade(null)} />}
      <ProposalList proposals={proposals} />
      {error && !shares && (
        <div className="px-5 pt-3">
          <Failure fault={reasonOf(error)} onAgain={() => void refetch()} />
        </div>
      )}
      {!shares && !error && <p className="px-5 pt-3 text-quiet">Fetching the shares …</p>}
      {shares?.length === 0 && (
        <EmptyState title="Nothing is shared yet">
          Create an address for your client: they see the colours on real pages, try others, and write what
          they think. Or give a developer a style sheet that updates itself.
        </EmptyState>
      )}
      {shares && shares.length > 0 && <ShareList shares={shares} onMade={setMade} />}
      {of !== null && (
        <NewShareDialog
          sharables={[...sharablesOf(document), ...fromShelf(of, search.get('called'))]}
          first={of}
          onClose={() => setSearch({}, { replace: true })}
          onMade={(next) => {
            setMade(next);
            setSearch({}, { replace: true });
          }}
        />
      )}
    </>
  );
}
