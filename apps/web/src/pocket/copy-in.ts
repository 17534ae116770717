/** Puts text into the clipboard from the window that it is copied in, which has to be the one in front; whether it is there. */
export async function copyIn({ defaultView }: Document, text: string): Promise<boolean> {
  try {
    await (defaultView ?? window).navigator.clipboard.writeText(text);
    return true;
  } catch {
    return false;
  }
}
