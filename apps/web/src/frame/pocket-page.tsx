import { Provider } from 'react-redux';
import { useParams } from 'react-router';
import Pocket from '../pocket/pocket.tsx';
import { guardArrivals } from '../store/guard-arrivals.ts';
import { createStore, useAppSelector } from '../store/store.ts';
import { HintProvider } from '../ui/hint.tsx';
import { OpeningPage, useOpenProject } from './open-project.tsx';

const store = createStore();
guardArrivals(store);

/** The pocket as a page of its own, as on a phone. */
export default function PocketPage() {
  return (
    <Provider store={store}>
      <HintProvider>
        <Opened />
      </HintProvider>
    </Provider>
  );
}

function Opened() {
  const { projectId } = useParams();
  const problem = useOpenProject(projectId!);
  const open = useAppSelector((state) => state.project?.id === projectId);
  return open ? <Pocket /> : <OpeningPage projectId={projectId!} problem={problem} />;
}
