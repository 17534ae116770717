import { Navigate } from 'react-router';
import { addressOf } from '../addresses.ts';
import { selectProject, useProjectDocument } from '../store/selectors.ts';
import { useAppSelector } from '../store/store.ts';

/** A project's own address leads to where its work goes on. @public Fetched with the frame. */
export default function FrontDoor() {
  const { families } = useProjectDocument();
  const id = useAppSelector((state) => selectProject(state).id);
  return <Navigate replace to={addressOf(id, families.length ? 'grow' : 'gather')} />;
}
