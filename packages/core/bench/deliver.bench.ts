import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { SKERRY_LINE } from '../src/demo/skerry-line.ts';
import { FILE_FORMATS } from '../src/exchange/file-formats.ts';
import { readBack } from '../src/read-back/read-back.ts';
import { resolveSystem } from '../src/system/resolve.ts';
import { LARGEST } from './largest-document.ts';
import { reportShare, SMALL } from './report.ts';

const font = (name: string) =>
  new Uint8Array(readFileSync(createRequire(import.meta.url).resolve(`dejavu-fonts-ttf/ttf/${name}.ttf`)));
const fonts = { regular: font('DejaVuSans'), bold: font('DejaVuSans-Bold') };

// Every form of the largest project, from a system of which nothing is worked out yet, as the first file of a page is.
const document = SMALL ? SKERRY_LINE : LARGEST;
const texts = new Map<string, string>();
for (const { id, writer } of FILE_FORMATS) {
  const write = await writer();
  const fresh = {
    ...document,
    gradients: document.gradients.map((gradient) => ({ ...gradient })),
    families: document.families.map((family) => ({ ...family })),
  };
  const start = performance.now();
  const system = resolveSystem(fresh);
  const written = await write({
    system,
    choices: {},
    at: '2026-06-14T08:15:00Z',
    revision: 7,
    fonts: async () => fonts,
  });
  reportShare(`the largest project as ${id}`, performance.now() - start, id === 'pdf' ? 5000 : 2000, 'ms');
  if (typeof written === 'string') texts.set(id, written);
}

let n = 0;
for (const id of ['tokens', 'css', 'csv']) {
  const start = performance.now();
  const result = readBack(texts.get(id)!, document, () => `b${n++}`);
  if (!result.ok) throw new Error(`${id}: ${result.reason}`);
  reportShare(`the largest project read back from ${id}`, performance.now() - start, 5000, 'ms');
}
