import { selectProject } from './selectors.ts';
import { useAppSelector } from './store.ts';

/** Whether something is being dragged, and what is shown is not yet what is there. */
export const useMoving = (): boolean => useAppSelector((state) => selectProject(state).gesture !== null);
