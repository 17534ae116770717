import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { dirname, join } from 'node:path';
import type { SheetFile } from '@mint-lamp/core/sheet/sheet-files';

const require = createRequire(import.meta.url);

/** A file of a package, which may not say that it can be required. */
function fileOf(name: string, file: string): string {
  for (const folder of require.resolve.paths(name) ?? []) {
    try {
      return readFileSync(join(folder, name, file), 'utf8');
    } catch {
      // In another folder.
    }
  }
  throw new Error(`${name}/${file} is not there; ${dirname(name)}`);
}

/** Style sheets as one finds them, by what they are called here. */
const FILES: Readonly<Record<string, readonly (readonly [name: string, file: string])[]>> = {
  buttons: [['bootstrap', 'dist/css/bootstrap.css']],
  helpers: [['bulma', 'css/bulma.css']],
  properties: [
    ['open-props', 'open-props.min.css'],
    ['open-props', 'normalize.min.css'],
  ],
  oklch: [
    ['open-props', 'colors-oklch.min.css'],
    ['open-props', 'gray-oklch.min.css'],
  ],
  hints: [['mvp.css', 'mvp.css']],
  grid: [['chota', 'dist/chota.css']],
  channels: [['@spectrum-css/tokens', 'dist/css/index.css']],
  themes: [['daisyui', 'themes.css']],
  layers: [['@digdir/designsystemet-theme', 'src/themes/designsystemet.css']],
  material: [['beercss', 'dist/cdn/beer.css']],
  document: [['github-markdown-css', 'github-markdown.css']],
  semantic: [['missing.css', 'dist/missing.css']],
  simple: [['simpledotcss', 'simple.css']],
  plain: [['water.css', 'out/water.css']],
};

export const PUBLIC_NAMES = Object.keys(FILES);

/** The files of a public sheet. */
export const publicSheet = (name: string): SheetFile[] =>
  FILES[name]!.map(([from, file]) => ({ name: file.split('/').at(-1)!, text: fileOf(from, file) }));
