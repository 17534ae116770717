import { BACK_KINDS } from '@mint-lamp/core/read-back/read-back';
import clsx from 'clsx';
import { FileUp } from 'lucide-react';
import { useMemo, useRef, useState } from 'react';
import { useJob } from '../../../jobs/use-job.ts';
import { selectSettledDocument } from '../../../store/selectors.ts';
import { useAppSelector } from '../../../store/store.ts';
import { Button } from '../../../ui/button.tsx';
import { Failure } from '../../../ui/notice.tsx';
import { DeliverHeader } from '../deliver-header.tsx';
import { Proposal } from './proposal.tsx';

/** Bytes of a file that is read back. */
const MOST_BYTES = 40_000_000;
const ENDINGS = '.json,.tokens,.css,.csv,.tsv,.svg';

interface Given {
  readonly name: string;
  readonly text: string;
}

/** A file that came from here, or from somebody else, read as what the project would be with it. */
export default function ReadBack() {
  const [given, setGiven] = useState<Given | null>(null);
  const [fault, setFault] = useState<string | null>(null);
  const present = useAppSelector(selectSettledDocument);
  const input = useMemo(() => (given ? { text: given.text, present } : null), [given, present]);
  const job = useJob('readBack', input);
  const result = given ? job.result : null;
  const take = async (file: File) => {
    setFault(null);
    if (file.size > MOST_BYTES) {
      setFault(`${file.name} is larger than ${MOST_BYTES / 1e6} MB, which no file of colours is.`);
      return;
    }
    setGiven({ name: file.name, text: await file.text() });
  };
  return (
    <div className="flex min-h-full flex-col">
      <DeliverHeader
        view="read-back"
        lead="Bring back tokens, style sheets, tables or swatches. See what changes first, then apply all or part of it."
      />
      <div className="flex flex-col gap-3 px-5 py-3">
        <Source
          large={!(given && result?.ok)}
          onFile={(file) => void take(file)}
          onText={(text) => setGiven({ name: 'The pasted text', text })}
        />
        {fault && (
          <p role="alert" className="text-fail">
            {fault}
          </p>
        )}
        {job.fault && <Failure fault={job.fault} onAgain={job.again} />}
        {given && job.busy && !result && (
          <p role="status" className="text-quiet">
            Reading {given.name} …
          </p>
        )}
        {given && result && !result.ok && (
          <p role="alert" className="text-fail">
            {given.name}: {result.reason}
          </p>
        )}
        {given && result?.ok && (
          <section aria-label={given.name} className="flex flex-col gap-2">
            <h2 className="font-title text-lg font-semibold">
              {given.name}, read as {BACK_KINDS[result.kind]}
            </h2>
            {result.losses.length > 0 && (
              <div>
                <h3 className="font-title font-semibold">Will be lost</h3>
                <ul className="list-disc pl-5">
                  {result.losses.slice(0, 30).map((loss) => (
                    <li key={loss}>{loss}</li>
                  ))}
                </ul>
                {result.losses.length > 30 && (
                  <p className="text-quiet">… and {result.losses.length - 30} more</p>
                )}
              </div>
            )}
            {result.stays.length > 0 && (
              <p className="text-quiet">
                Not in the file, so left as it is: {result.stays.slice(0, 8).join(', ')}
                {result.stays.length > 8 && ` and ${result.stays.length - 8} more`}.
              </p>
            )}
            <Proposal name={given.name} wanted={result.wanted} />
          </section>
        )}
      </div>
    </div>
  );
}

interface SourceProps {
  onFile: (file: File) => void;
  onText: (text: string) => void;
  /** While nothing could be read yet. */
  large: boolean;
}

function Source({ onFile, onText, large }: SourceProps) {
  const field = useRef<HTMLInputElement>(null);
  const [text, setText] = useState('');
  return (
    <form
      className="flex flex-wrap items-start gap-3"
      onDragOver={(event) => event.preventDefault()}
      onDrop={(event) => {
        event.preventDefault();
        const [file] = event.dataTransfer.files;
        if (file) onFile(file);
      }}
      onSubmit={(event) => {
        event.preventDefault();
        if (text.trim()) onText(text);
      }}
    >
      <input
        ref={field}
        type="file"
        accept={ENDINGS}
        aria-label="File to read back"
        hidden
        onChange={(event) => {
          const [file] = event.target.files ?? [];
          if (file) onFile(file);
          // The same file can be chosen again.
          event.target.value = '';
        }}
      />
      <Button data-next look="primary" onClick={() => field.current?.click()}>
        <FileUp aria-hidden className="size-4" /> Choose a file
      </Button>
      <textarea
        aria-label="Or paste what is in one"
        placeholder="or paste what is in one, or drop it here"
        value={text}
        rows={1}
        onChange={(event) => setText(event.target.value)}
        className={clsx(
          'min-w-64 flex-1 resize-y rounded-md border border-control bg-raised px-2 py-1 font-mono text-sm',
          large ? 'h-[clamp(120px,40dvh,480px)]' : 'h-8',
        )}
      />
      <Button type="submit" disabled={!text.trim()}>
        Read it
      </Button>
    </form>
  );
}
