import type { FormId } from '@mint-lamp/core/document/delivery/forms';
import { Link } from 'react-router';
import { addressOf } from '../../../addresses.ts';
import { useProjectId } from '../../../store/selectors.ts';
import { READ_BACK } from '../forms.ts';

/** Forms that are read back. */
const BACK: readonly FormId[] = ['css', 'tokens', 'csv', 'svg'];

/** What comes back when the file is read here again, and what does not. */
export function ComesBack({ form, lost }: { form: FormId; lost: readonly string[] }) {
  const id = useProjectId();
  if (!BACK.includes(form)) return null;
  return (
    <section aria-label="Read back" className="text-sm text-quiet">
      <h2 className="mb-1 font-title text-base font-semibold text-main">Read back</h2>
      {form === 'svg' ? (
        <p>Families come back with their shades, other shapes into the tray.</p>
      ) : lost.length ? (
        <>
          <p>Reads back unchanged, except:</p>
          <ul className="list-disc pl-4">
            {lost.map((one) => (
              <li key={one}>{one}</li>
            ))}
          </ul>
        </>
      ) : (
        <p>Reads back unchanged.</p>
      )}
      <Link to={addressOf(id, 'deliver', READ_BACK)} className="underline underline-offset-2 hover:text-main">
        Read one back
      </Link>
    </section>
  );
}
