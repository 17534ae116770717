import { useParams } from 'react-router';
import { useProjectDocument } from '../../store/selectors.ts';
import { EmptyState } from '../../ui/notice.tsx';
import { part } from '../../ui/part.tsx';
import { DeliverHeader } from './deliver-header.tsx';
import { Files } from './files/files.tsx';
import { HAND_OVERS, isForm, READ_BACK, SHARES, VALUES, WHOLE } from './forms.ts';
import { useHandOver } from './use-hand-over.ts';
import { ValuesPage } from './values/values-page.tsx';

const WholeProject = part(() => import('./whole/whole-project.tsx'));
const ReadBack = part(() => import('./read-back/read-back.tsx'));
const Shares = part(() => import('./shares/shares.tsx'));
const HandOvers = part(() => import('./hand-overs/hand-overs.tsx'));

/** The system as files of every form, exactly as seen; every value to copy; what was handed over before. */
export default function Deliver() {
  const { families, roles, gradients } = useProjectDocument();
  const { form } = useParams();
  const handOver = useHandOver();
  if (form === SHARES) return <Shares />;
  if (form === HAND_OVERS) return <HandOvers />;
  if (form === READ_BACK) return <ReadBack />;
  if (!families.length && !roles.length && !gradients.length)
    return (
      <>
        <DeliverHeader view="files" lead="The system as files, and every value to copy." />
        <EmptyState title="Nothing to hand over yet">Grow a family or name a role first.</EmptyState>
      </>
    );
  if (form === VALUES) return <ValuesPage />;
  if (form === WHOLE) return <WholeProject handOver={handOver} />;
  return <Files form={isForm(form) ? form : 'css'} handOver={handOver} />;
}
