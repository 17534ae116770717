/** Hands a text to the browser as a file to keep. */
export function save(name: string, text: string, type: string): void {
  const address = URL.createObjectURL(new Blob([text], { type: `${type};charset=utf-8` }));
  const anchor = document.createElement('a');
  anchor.href = address;
  anchor.download = name;
  anchor.click();
  // The browser reads it after this task; a minute is ample.
  setTimeout(() => URL.revokeObjectURL(address), 60_000);
}
