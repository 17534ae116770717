import { slug } from '@mint-lamp/core/document/naming/names';
import { withSignedNotes } from '@mint-lamp/core/document/notes/signed-notes';
import { contentsOf, PROJECT_ENDING } from '@mint-lamp/core/exchange/project-file';
import { Download } from 'lucide-react';
import { useState } from 'react';
import { useStore } from 'react-redux';
import { Link } from 'react-router';
import { checkpointsAddress } from '../../../addresses.ts';
import { useCheckpointsQuery } from '../../../fetching/checkpoints-api.ts';
import { loadCheckpoints, loadPicture } from '../../../fetching/filed-project.ts';
import { useNameOf } from '../../../fetching/use-names.ts';
import { runJob } from '../../../jobs/run-job.ts';
import { selectProject, useProjectDocument, useProjectId } from '../../../store/selectors.ts';
import type { AppStore } from '../../../store/store.ts';
import { whenSaved } from '../../../store/when-saved.ts';
import { Button } from '../../../ui/button.tsx';
import { DeliverHeader } from '../deliver-header.tsx';
import { FormList } from '../files/form-list.tsx';
import { Handed } from '../files/handed.tsx';
import { useLastHandOver } from '../files/use-last-hand-over.ts';
import type { HandingOver } from '../use-hand-over.ts';

const many = (count: number, one: string, more: string) => `${count} ${count === 1 ? one : more}`;

/** The project as one file: what it holds, and the way back. */
export default function WholeProject({ handOver }: { handOver: HandingOver }) {
  const id = useProjectId();
  const store = useStore() as AppStore;
  const nameOf = useNameOf(id);
  const document = useProjectDocument();
  const { currentData: checkpoints } = useCheckpointsQuery(id);
  const last = useLastHandOver('project');
  const [progress, setProgress] = useState<string | null>(null);
  const [fault, setFault] = useState<string | null>(null);
  const file = `${slug(document.name) || 'colours'}.${PROJECT_ENDING}`;
  const download = async () => {
    setFault(null);
    setProgress('Fetching the checkpoints …');
    try {
      await whenSaved(store, id);
      const now = selectProject(store.getState()).document;
      const states = await loadCheckpoints(id);
      const contents = contentsOf([now, ...states.map((one) => one.document)]);
      const pictures = [];
      for (const [i, content] of contents.entries()) {
        setProgress(`Picture ${i + 1} of ${contents.length} …`);
        const bytes = await loadPicture(id, content);
        if (bytes) pictures.push({ content, bytes });
      }
      setProgress('Writing …');
      const bytes = await runJob('writeProject', {
        document: withSignedNotes(now, nameOf),
        checkpoints: states.map((one) => ({ ...one, document: withSignedNotes(one.document, nameOf) })),
        pictures,
      });
      handOver.hand({ file, content: bytes, mediaType: 'application/zip', forms: ['project'] });
    } catch (error) {
      setFault(error instanceof Error ? error.message : 'The file could not be written.');
    } finally {
      setProgress(null);
    }
  };
  return (
    <div className="flex h-[calc(100dvh-146px)] min-h-96 flex-col">
      <DeliverHeader view="files" lead="A page that uses these files paints exactly what you see here.">
        <Button data-next look="primary" disabled={progress !== null} onClick={() => void download()}>
          <Download aria-hidden className="size-4" /> Download {file}
        </Button>
      </DeliverHeader>
      <div className="grid min-h-0 flex-1 grid-cols-[186px_minmax(0,1fr)] narrow:grid-cols-1 max-[900px]:grid-cols-1 max-[900px]:overflow-auto">
        <FormList form="project" handOver={handOver} />
        <section aria-label={file} className="min-h-0 max-w-2xl overflow-auto px-5 py-4">
          <h2 className="font-title text-lg font-semibold">{file}</h2>
          <p className="mb-3 text-quiet">
            The whole project as one file: to keep, to send, or to open on another server.
          </p>
          <dl className="grid grid-cols-[max-content_1fr] gap-x-4 gap-y-1">
            <dt className="text-quiet">Document</dt>
            <dd>
              {many(document.families.length, 'family', 'families')},{' '}
              {many(document.roles.length, 'role', 'roles')},{' '}
              {many(document.themes.length, 'theme', 'themes')},{' '}
              {many(document.gradients.length, 'gradient', 'gradients')},{' '}
              {many(document.notes.length, 'note', 'notes')}
            </dd>
            <dt className="text-quiet">Pictures</dt>
            <dd>{many(document.pictures.length, 'picture', 'pictures')}</dd>
            <dt className="text-quiet">Checkpoints</dt>
            <dd>
              <Link to={checkpointsAddress(id)} className="underline underline-offset-2">
                {checkpoints ? many(checkpoints.length, 'checkpoint', 'checkpoints') : 'counting …'}
              </Link>
            </dd>
            <dt className="text-quiet">Not in it</dt>
            <dd>Single edits, the undo list and hand-overs stay on this server.</dd>
          </dl>
          <p className="mt-3 text-sm text-quiet">
            Open it from the list of projects with "Open a project file". It is a zip with JSON and the
            original pictures.
          </p>
          {progress && (
            <p role="status" className="mt-3">
              {progress}
            </p>
          )}
          {fault && (
            <p role="alert" className="mt-3 text-fail">
              {fault}
            </p>
          )}
          <div className="mt-4">
            <Handed state={handOver.state} last={last.handOver} />
          </div>
        </section>
      </div>
    </div>
  );
}
