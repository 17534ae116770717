/** Puts text into the clipboard. Rejects where the browser has none for this page, or does not allow it. */
export async function copyText(text: string): Promise<void> {
  // Over plain http a page of another computer has no clipboard at all.
  if (!navigator.clipboard) throw new Error('There is no clipboard for this page.');
  await navigator.clipboard.writeText(text);
}
