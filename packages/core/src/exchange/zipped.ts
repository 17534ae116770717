import { strToU8, zipSync } from 'fflate';

/** A file of a package. */
export interface PackedFile {
  readonly name: string;
  readonly content: string | Uint8Array;
}

/** Kinds of files that are compressed already. */
const COMPRESSED = /\.(png|jpe?g|pdf|zip)$/;

/**
 * Files as one zip, each by its name; signs that mean something in paths, and names twice, are written otherwise. `at` is
 * ISO 8601: the same files of the same time are the same bytes.
 */
export function zipped(files: readonly PackedFile[], at: string): Uint8Array {
  const taken = new Set<string>();
  const entries = files.map(({ name, content }) => {
    const safe = name.replace(/[/\\:*?"<>|\p{Cc}]/gu, '-').replace(/^\.+/, '_');
    let own = safe;
    for (let n = 2; taken.has(own.toLowerCase()); n++) own = safe.replace(/(\.[^.]*)?$/, `-${n}$1`);
    taken.add(own.toLowerCase());
    const bytes = typeof content === 'string' ? strToU8(content) : content;
    return [own, [bytes, { level: COMPRESSED.test(own) ? 0 : 6, mtime: timeOf(at) }]] as const;
  });
  return zipSync(Object.fromEntries(entries) as Parameters<typeof zipSync>[0]);
}

/** A zip tells local time: that of UTC is told, so that it is the same wherever it is made. */
function timeOf(at: string): Date {
  const utc = new Date(at);
  return new Date(utc.getTime() + utc.getTimezoneOffset() * 60_000);
}
