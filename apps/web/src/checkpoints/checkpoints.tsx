import { mayDo } from '@mint-lamp/core/wire/access';
import { Link, useNavigate, useParams } from 'react-router';
import { checkpointsAddress, historyAddress } from '../addresses.ts';
import { selectProject, useProjectId } from '../store/selectors.ts';
import { useAppSelector } from '../store/store.ts';
import { EmptyState, Failure } from '../ui/notice.tsx';
import { PageHeader } from '../ui/page-header.tsx';
import { CheckpointList } from './checkpoint-list.tsx';
import { Comparison } from './comparison.tsx';
import { SaveCheckpoint } from './save-checkpoint.tsx';
import { useCheckpoints } from './use-checkpoints.ts';
import { NOW } from './use-state-of.ts';

/** Named states of the project: save one, compare any two, go back to one whole or in part. */
export default function CheckpointsPage() {
  const { before = null, after = NOW } = useParams();
  const id = useProjectId();
  const navigate = useNavigate();
  const mayEdit = useAppSelector((state) => mayDo(selectProject(state).access, 'edit'));
  const checkpoints = useCheckpoints();
  const { list, fault, again } = checkpoints;
  const compare = (from: string, to: string) =>
    navigate(checkpointsAddress(id, from, ...(to === NOW ? [] : [to])), { replace: before !== null });
  const known = (one: string) => one === NOW || list?.some((checkpoint) => checkpoint.id === one);
  return (
    <div className="flex min-h-full flex-col">
      <PageHeader
        title="Checkpoints"
        help="checkpoint"
        lead="Named states of this project. Compare any two, and go back to one, whole or in part."
      >
        <Link to={historyAddress(id)} className="underline underline-offset-2">
          Every step, by person and day
        </Link>
        {mayEdit && <SaveCheckpoint onSave={checkpoints.save} />}
      </PageHeader>
      {fault && (
        <div className="px-5">
          <Failure fault={fault} onAgain={again} />
        </div>
      )}
      {!list && !fault && <p className="px-5 text-quiet">Fetching the checkpoints …</p>}
      {list?.length === 0 && (
        <EmptyState title="No checkpoint yet">
          Save one before you try something. Later you can compare with it, role by role and theme by theme,
          and go back to it, whole or in part.
        </EmptyState>
      )}
      {list && list.length > 0 && (
        <div className="grid min-h-0 flex-1 grid-cols-[232px_minmax(0,1fr)] narrow:grid-cols-1 border-t border-hair">
          <CheckpointList
            checkpoints={list}
            lit={before}
            onLit={(one) => compare(one, NOW)}
            onRename={checkpoints.rename}
            onRemove={checkpoints.remove}
          />
          {before !== null && known(before) && known(after) ? (
            <Comparison key={before} list={list} before={before} after={after} onCompare={compare} />
          ) : (
            <EmptyState title={before === null ? 'Choose a checkpoint' : 'This checkpoint is gone'}>
              What differs between it and now is shown here.
            </EmptyState>
          )}
        </div>
      )}
    </div>
  );
}
