import { useEffect, useState } from 'react';
import { Navigate } from 'react-router';
import { addressOf } from '../addresses.ts';
import { selectProject, useProjectDocument } from '../store/selectors.ts';
import { useAppSelector } from '../store/store.ts';
import { walkTo } from './walking.ts';

/** A project's own address leads to where its work goes on. @public Fetched with the frame. */
export default function FrontDoor() {
  // Whoever asked for it is walked through, from the first stop on.
  const [asked] = useState(() => new URLSearchParams(location.search).has('walk'));
  useEffect(() => {
    if (asked) walkTo(0);
  }, [asked]);
  const { families } = useProjectDocument();
  const id = useAppSelector((state) => selectProject(state).id);
  return <Navigate replace to={addressOf(id, families.length ? 'grow' : 'gather')} />;
}
