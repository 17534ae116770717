import { readFile } from 'node:fs/promises';
import { fileURLToPath } from 'node:url';
import type { FontFiles } from '@mint-lamp/core/exchange/people/letters';

const read = async (name: string) =>
  new Uint8Array(await readFile(fileURLToPath(import.meta.resolve(`dejavu-fonts-ttf/ttf/${name}.ttf`))));

/** The fonts that labels and papers are written in. */
export async function fontFiles(): Promise<FontFiles> {
  const [regular, bold] = await Promise.all([read('DejaVuSans'), read('DejaVuSans-Bold')]);
  return { regular, bold };
}
