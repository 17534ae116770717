import type { FormId } from '@mint-lamp/core/document/delivery/forms';
import { slug } from '@mint-lamp/core/document/naming/names';
import { withSignedNotes } from '@mint-lamp/core/document/notes/signed-notes';
import { type FileFormatId, fileFormat } from '@mint-lamp/core/exchange/file-formats';
import clsx from 'clsx';
import { Package } from 'lucide-react';
import { useState } from 'react';
import { useStore } from 'react-redux';
import { Link } from 'react-router';
import { addressOf } from '../../../addresses.ts';
import { useNameOf } from '../../../fetching/use-names.ts';
import { runJob } from '../../../jobs/run-job.ts';
import { edit } from '../../../store/editing.ts';
import { selectProject, selectRegions, useDocumentPart, useProjectId } from '../../../store/selectors.ts';
import { type AppStore, useAppDispatch } from '../../../store/store.ts';
import { whenSaved } from '../../../store/when-saved.ts';
import { Button } from '../../../ui/button.tsx';
import { FORM_GROUPS, formsIn, isForm, WHOLE } from '../forms.ts';
import type { HandingOver } from '../use-hand-over.ts';

/** All forms by whom they are for; those that are ticked go into one package. */
export function FormList({ form, handOver }: { form: FormId; handOver: HandingOver }) {
  const id = useProjectId();
  const { pack } = useDocumentPart('delivery');
  const dispatch = useAppDispatch();
  const ticked = (one: FormId, on: boolean) =>
    dispatch(edit({ type: 'setPack', forms: on ? [...pack, one] : pack.filter((other) => other !== one) }));
  return (
    <nav
      aria-label="Forms"
      data-help="package"
      className="flex min-h-0 flex-col gap-2 overflow-auto border-r border-hair py-3 pr-2 pl-3 max-[900px]:border-r-0"
    >
      {FORM_GROUPS.map((group) => (
        <section key={group.id} aria-label={group.name}>
          <h2 className="px-1.5 pb-0.5 text-sm text-quiet">{group.name}</h2>
          <ul>
            {formsIn(group.id).map(({ id: one, name }) => (
              <li key={one} className="flex items-center">
                <label className="grid size-[24px] shrink-0 place-content-center">
                  <input
                    type="checkbox"
                    aria-label={`${name} in the package`}
                    checked={pack.includes(one)}
                    onChange={(event) => ticked(one, event.target.checked)}
                  />
                </label>
                <Link
                  to={addressOf(id, 'deliver', one)}
                  replace
                  aria-current={one === form ? 'page' : undefined}
                  className={clsx(
                    'min-w-0 flex-1 truncate rounded-md px-1.5 leading-[24px] hover:bg-pressed',
                    one === form && 'bg-pressed font-semibold',
                  )}
                >
                  {name}
                </Link>
              </li>
            ))}
          </ul>
        </section>
      ))}
      <section aria-label="All of it">
        <h2 className="px-1.5 pb-0.5 text-sm text-quiet">All of it</h2>
        <Link
          to={addressOf(id, 'deliver', WHOLE)}
          replace
          aria-current={form === 'project' ? 'page' : undefined}
          className={clsx(
            'ml-[24px] block rounded-md px-1.5 leading-[24px] hover:bg-pressed',
            form === 'project' && 'bg-pressed font-semibold',
          )}
        >
          Project file
        </Link>
      </section>
      <PackageButton pack={pack.filter(isForm)} handOver={handOver} />
    </nav>
  );
}

/** Everything that is ticked, as one zip that is named and dated. */
function PackageButton({ pack, handOver }: { pack: readonly FileFormatId[]; handOver: HandingOver }) {
  const id = useProjectId();
  const store = useStore() as AppStore;
  const nameOf = useNameOf(id);
  const [progress, setProgress] = useState<number | null>(null);
  const [fault, setFault] = useState<string | null>(null);
  const download = async () => {
    setProgress(0);
    setFault(null);
    try {
      // The files name the revision that they are of, so that has to be the server's.
      const revision = await whenSaved(store, id);
      const { document } = selectProject(store.getState());
      const at = new Date().toISOString();
      const content = await runJob(
        'writePackage',
        {
          document: withSignedNotes(document, nameOf),
          forms: pack,
          at,
          revision,
          regions: selectRegions(store.getState()),
        },
        { onProgress: setProgress },
      );
      const file = `${slug(document.name) || 'colours'}-${at.slice(0, 10)}.zip`;
      handOver.hand({ file, content, mediaType: 'application/zip', forms: pack });
    } catch (error) {
      setFault(error instanceof Error ? error.message : 'The package could not be written.');
    } finally {
      setProgress(null);
    }
  };
  const names = pack.map((one) => fileFormat(one).name).join(', ');
  return (
    <div className="sticky bottom-0 mt-auto bg-ground pt-2">
      <Button
        onClick={() => void download()}
        disabled={!pack.length || progress !== null}
        title={names}
        className="w-full justify-center"
      >
        <Package aria-hidden className="size-4" />
        {progress === null
          ? pack.length
            ? `Download ${pack.length} as a zip`
            : 'Tick what goes in a zip'
          : `Writing … ${Math.round(progress * 100)} %`}
      </Button>
      {fault && (
        <p role="alert" className="pt-1 text-sm text-fail">
          {fault}
        </p>
      )}
    </div>
  );
}
