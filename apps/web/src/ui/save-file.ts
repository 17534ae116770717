/** Hands a text, or bytes, to the browser as a file to keep. */
export function save(name: string, content: string | Uint8Array | Blob, type: string): void {
  const blob =
    content instanceof Blob
      ? content
      : typeof content === 'string'
        ? new Blob([content], { type: `${type};charset=utf-8` })
        : new Blob([content as Uint8Array<ArrayBuffer>], { type });
  const address = URL.createObjectURL(blob);
  const anchor = document.createElement('a');
  anchor.href = address;
  anchor.download = name;
  anchor.click();
  // The browser reads it after this task; a minute is ample.
  setTimeout(() => URL.revokeObjectURL(address), 60_000);
}
