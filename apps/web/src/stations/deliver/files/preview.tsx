import { type FileFormatId, fileFormat } from '@mint-lamp/core/exchange/file-formats';
import type { Written } from '@mint-lamp/core/exchange/handed-over';
import type { HandOver } from '@mint-lamp/core/wire/hand-overs';
import { useEffect, useMemo, useState } from 'react';
import { CopyButton } from '../../../ui/copy-button.tsx';
import { Failure } from '../../../ui/notice.tsx';
import { TextPreview } from './text-preview.tsx';
import type { WrittenForm } from './use-written-file.ts';

interface PreviewProps {
  form: FileFormatId;
  file: string;
  written: WrittenForm;
  last: HandOver | null;
}

const bytes = (content: Written) => new Blob([content as BlobPart]).size;

const size = (count: number) =>
  count < 1_000_000
    ? `${Math.max(1, Math.round(count / 1000)).toLocaleString('en-GB')} kB`
    : `${(count / 1e6).toFixed(1)} MB`;

/** The file as it is: text with what changed since it went out last, pages and pictures as they are seen. */
export function Preview({ form, file, written, last }: PreviewProps) {
  const { content, beginning, changed, busy, progress, fault, again } = written;
  const weight = useMemo(() => (content === null ? null : size(bytes(content))), [content]);
  return (
    <section aria-label={file} aria-busy={busy} className="flex min-h-0 min-w-0 flex-col px-4 pt-3 pb-3">
      <div className="flex min-h-8 flex-wrap items-center gap-x-3 pb-1">
        <h2 className="min-w-0 truncate font-title font-semibold">{file}</h2>
        {weight && <span className="text-sm text-quiet">{weight}</span>}
        {last && changed && (
          <span className="text-sm text-quiet">
            {changed.size
              ? `${changed.size} ${changed.size === 1 ? 'line' : 'lines'} changed since it went out`
              : 'as last handed over'}
          </span>
        )}
        <span className="ml-auto">
          {busy ? (
            <span role="status" className="text-sm text-quiet">
              Writing …{progress > 0 && ` ${Math.round(progress * 100)} %`}
            </span>
          ) : (
            typeof content === 'string' && (
              <CopyButton text={content} label="Copy the whole file">
                Copy all
              </CopyButton>
            )
          )}
        </span>
      </div>
      {fault && <Failure fault={fault} onAgain={again} />}
      {content !== null && (
        <Content
          form={form}
          file={file}
          content={content}
          beginning={beginning}
          changed={changed}
          busy={busy}
        />
      )}
    </section>
  );
}

/** Characters of a drawing that is shown as one: thousands of shapes would hold up the page. */
const MOST_DRAWN = 400_000;
/** Forms that are looked at and not read. */
const SEEN: readonly FileFormatId[] = ['page', 'pdf', 'svg', 'png', 'jpeg'];
const BOX = 'min-h-0 flex-1 rounded-md border border-hair bg-raised max-[900px]:min-h-96';

function Content({
  form,
  file,
  content,
  beginning,
  changed,
  busy,
}: {
  form: FileFormatId;
  file: string;
  content: Written;
  beginning: string | null;
  changed: ReadonlySet<number> | null;
  busy: boolean;
}) {
  const isHeavy = beginning !== null || (form === 'svg' && content.length > MOST_DRAWN);
  const text =
    beginning ?? (typeof content === 'string' && (isHeavy || !SEEN.includes(form)) ? content : null);
  if (text !== null)
    return (
      <>
        <TextPreview text={text} changed={changed} busy={busy} className={BOX} />
        {isHeavy && <p className="text-sm text-quiet">Too large to preview. Download it to see it.</p>}
      </>
    );
  if (typeof content === 'string' && form === 'page')
    return <iframe title={file} sandbox="" srcDoc={content} className={BOX} />;
  return <Shown form={form} file={file} content={content} />;
}

/** A picture, or a paper in the browser's own reader. */
function Shown({ form, file, content }: { form: FileFormatId; file: string; content: Written }) {
  const [address, setAddress] = useState<string | null>(null);
  useEffect(() => {
    const blob = new Blob([content as BlobPart], { type: fileFormat(form).mediaType });
    const own = URL.createObjectURL(blob);
    setAddress(own);
    return () => URL.revokeObjectURL(own);
  }, [content, form]);
  if (!address) return <div className={BOX} />;
  if (form === 'pdf')
    return (
      <div className={`${BOX} flex flex-col overflow-hidden`}>
        <iframe title={file} src={address} className="min-h-0 flex-1" />
        <p className="border-t border-hair px-3 py-1 text-sm text-quiet">
          Shown in your browser’s PDF viewer. If you see nothing, download it.
        </p>
      </div>
    );
  return (
    // biome-ignore lint/a11y/noNoninteractiveTabindex: a scrolling region must be reachable by keyboard
    <section aria-label={`Picture of ${file}`} tabIndex={0} className={`${BOX} overflow-auto`}>
      <img src={address} alt={`Swatches of the system, as ${file}`} className="w-full" />
    </section>
  );
}
