import { spawn } from 'node:child_process';
import { once } from 'node:events';
import { mkdirSync, renameSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { drawPicture, LIBRARY, type LibraryPicture } from '@mint-lamp/core/demo/pictures/library';
import sharp from 'sharp';

// Draws the made-up picture library into a folder, each picture as a file of its kind.

const [folder, only] = process.argv.slice(2);
if (!folder) throw new Error('Say which folder to draw into.');
mkdirSync(folder, { recursive: true });

// As a camera has it, so that there is something to throw away.
const NOTES = {
  IFD0: { Make: 'Tern', Model: 'Tern Mark 2', Artist: 'Skerry Line' },
  IFD3: {
    GPSLatitudeRef: 'N',
    GPSLatitude: '58/1 30/1 0/1',
    GPSLongitudeRef: 'W',
    GPSLongitude: '7/1 12/1 0/1',
  },
};

function encoded(picture: LibraryPicture): Promise<Buffer> {
  const { kind, width, height } = picture;
  const image = sharp(drawPicture(picture), { raw: { width, height, channels: 4 } })
    .removeAlpha()
    .withExif(NOTES);
  if (kind === 'jpeg') return image.jpeg({ quality: 90, chromaSubsampling: '4:4:4' }).toBuffer();
  if (kind === 'webp') return image.webp({ quality: 90 }).toBuffer();
  if (kind === 'avif') return image.avif({ quality: 75, effort: 2, chromaSubsampling: '4:4:4' }).toBuffer();
  return image.png().toBuffer();
}

async function draw(picture: LibraryPicture, into: string): Promise<void> {
  const path = join(into, picture.file);
  writeFileSync(`${path}.part`, await encoded(picture));
  renameSync(`${path}.part`, path);
}

/** Draws one picture in a process of its own, so that all cores draw. */
async function drawAside(file: string, into: string): Promise<void> {
  const args = [...process.execArgv, process.argv[1]!, into, file];
  const [code] = await once(spawn(process.execPath, args, { stdio: 'inherit' }), 'exit');
  if (code !== 0) throw new Error(`${file} could not be drawn.`);
}

if (only) for (const picture of LIBRARY.filter(({ file }) => file === only)) await draw(picture, folder);
else await Promise.all(LIBRARY.map(({ file }) => drawAside(file, folder)));
