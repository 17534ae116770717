import { useEffect, useState } from 'react';
import { Link } from 'react-router';
import { type KeptProject, keptProjects } from '../offline/kept-projects.ts';

/** While the list cannot be had: what this browser kept, to be looked at and copied from. */
export function KeptHere() {
  const [kept, setKept] = useState<readonly KeptProject[]>([]);
  useEffect(() => {
    // What cannot be read is not offered.
    keptProjects().then(setKept, () => {});
  }, []);
  if (!kept.length) return null;
  return (
    <section aria-label="Kept in this browser" className="mt-4">
      <h2 className="font-title text-lg font-semibold">Kept in this browser</h2>
      <p className="mb-2 text-quiet">Open one to look at it and copy from it until the server is back.</p>
      <ul className="divide-y divide-hair border-y border-hair">
        {kept.map(({ id, name }) => (
          <li key={id}>
            <Link to={`/p/${id}`} className="block rounded-md py-2 font-semibold hover:underline">
              {name}
            </Link>
          </li>
        ))}
      </ul>
    </section>
  );
}
