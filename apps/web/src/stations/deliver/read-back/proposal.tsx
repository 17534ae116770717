import type { ProjectDocument } from '@mint-lamp/core/document/document';
import { differingParts } from '@mint-lamp/core/edits/compare/differing-parts';
import { useMemo } from 'react';
import { ChangedRoles } from '../../../comparing/changed-roles.tsx';
import { ChangedThings } from '../../../comparing/changed-things.tsx';
import { RestoreBar } from '../../../comparing/restore-bar.tsx';
import { useRestoring } from '../../../comparing/use-restoring.ts';
import { useJob } from '../../../jobs/use-job.ts';
import { selectSettledDocument, useRegions } from '../../../store/selectors.ts';
import { useAppSelector } from '../../../store/store.ts';
import { Failure } from '../../../ui/notice.tsx';

const TAKE = { verb: 'Apply', done: 'applied' };

/** What would be another in the project with a file, and the choice of what of it is taken. */
export function Proposal({ name, wanted }: { name: string; wanted: ProjectDocument }) {
  const present = useAppSelector(selectSettledDocument);
  const regions = useRegions();
  const input = useMemo(() => ({ before: wanted, after: present, regions }), [wanted, present, regions]);
  const { result, fault, again } = useJob('compare', input);
  const restoring = useRestoring(wanted, name, 'take');
  const parts = useMemo(() => (result ? differingParts(result) : []), [result]);
  if (fault) return <Failure fault={fault} onAgain={again} />;
  if (!result) return <p className="text-quiet">Comparing …</p>;
  if (!parts.length && !result.roles.length)
    return <p role="status">Nothing in it differs from the project.</p>;
  return (
    <>
      <RestoreBar
        name={name}
        afterName="now"
        then={wanted}
        now={present}
        parts={parts}
        restoring={restoring}
        passing={result.passing}
        words={TAKE}
      />
      <ChangedThings differences={result} restoring={restoring} />
      <ChangedRoles differences={result} restoring={restoring} />
    </>
  );
}
