import type { FontFiles } from '@mint-lamp/core/exchange/people/letters';
import regularAddress from 'dejavu-fonts-ttf/ttf/DejaVuSans.ttf?url';
import boldAddress from 'dejavu-fonts-ttf/ttf/DejaVuSans-Bold.ttf?url';

async function fetched(address: string): Promise<Uint8Array> {
  const answer = await fetch(new URL(address, self.location.origin));
  if (!answer.ok) throw new Error('The font for labels could not be fetched.');
  return new Uint8Array(await answer.arrayBuffer());
}

let files: Promise<FontFiles> | null = null;

/** The fonts that labels and papers are written in, fetched once; again where that failed. */
export function fontFiles(): Promise<FontFiles> {
  files ??= Promise.all([fetched(regularAddress), fetched(boldAddress)]).then(
    ([regular, bold]) => ({ regular, bold }),
    (error: Error) => {
      files = null;
      throw error;
    },
  );
  return files;
}
