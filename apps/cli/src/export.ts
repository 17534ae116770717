import { readFile, writeFile } from 'node:fs/promises';
import { createRequire } from 'node:module';
import type { LeftOut } from '@mint-lamp/core/document/delivery/delivery';
import { readChoices } from '@mint-lamp/core/document/delivery/read-choices';
import { slug } from '@mint-lamp/core/document/naming/names';
import { FILE_FORMATS, fileFormat } from '@mint-lamp/core/exchange/file-formats';
import type { Written } from '@mint-lamp/core/exchange/handed-over';
import { chosenSystem } from '@mint-lamp/core/system/delivery/chosen-system';
import { resolveSystem } from '@mint-lamp/core/system/resolve';
import { Fault, WELL } from './fault.ts';
import { readFlags } from './flags.ts';
import { readSource, type Source } from './source.ts';

const OWN = ['form', 'out', 'everything'];
const NOTHING_LEFT_OUT: LeftOut = { family: [], role: [], theme: [], gradient: [] };

/** What is asked for: a form with its choices, and where it goes. */
export interface ExportWish {
  readonly place: string;
  readonly form: (typeof FILE_FORMATS)[number]['id'];
  readonly choices: Readonly<Record<string, string>>;
  readonly everything: boolean;
  /** A path, `-` for the terminal; null for the name that the form has. */
  readonly out: string | null;
}

export function readWish(args: readonly string[]): ExportWish {
  const { places, values } = readFlags(args, OWN, true);
  const [place] = places;
  if (!place || places.length > 1) throw new Fault('Say one project: a project file, or its address.');
  const { form = 'css', out = null, everything, ...choices } = values;
  const known = FILE_FORMATS.find(({ id }) => id === form);
  if (!known)
    throw new Fault(`There is no form "${form}". Known are: ${FILE_FORMATS.map(({ id }) => id).join(', ')}.`);
  return { place, form: known.id, choices, everything: everything === 'yes', out };
}

const font = async (name: string) => {
  const path = createRequire(import.meta.url).resolve(`dejavu-fonts-ttf/ttf/${name}.ttf`);
  return new Uint8Array(await readFile(path));
};

/** Writes a project in a form; throws a Fault where a choice is none. */
export async function written({ document, revision }: Source, wish: ExportWish): Promise<Written> {
  const { form, choices: own, everything } = wish;
  const read = readChoices(form, own, document.themes);
  if (!read.ok) throw new Fault(read.reason);
  const kept = document.delivery.choices;
  const { system } = chosenSystem(
    resolveSystem(document),
    everything ? NOTHING_LEFT_OUT : document.delivery.leftOut,
  );
  const write = await fileFormat(form).writer();
  return write({
    system,
    choices: { ...kept, [form]: { ...kept[form], ...read.choices } },
    at: new Date().toISOString(),
    revision,
    fonts: async () => {
      const [regular, bold] = await Promise.all([font('DejaVuSans'), font('DejaVuSans-Bold')]);
      return { regular, bold };
    },
  });
}

/** Writes what was asked for where it was asked for, and says where. */
export async function handOut(source: Source, wish: ExportWish): Promise<void> {
  const content = await written(source, wish);
  if (wish.out === '-') {
    process.stdout.write(content);
    return;
  }
  const path = wish.out ?? fileFormat(wish.form).fileName(slug(source.document.name) || 'colours');
  try {
    await writeFile(path, content);
  } catch (error) {
    throw new Fault(`${path} cannot be written: ${(error as Error).message}`);
  }
  console.error(`${path} is written.`);
}

/** `mint-lamp export`: a project as a file in any form. */
export async function run(args: readonly string[]): Promise<number> {
  const wish = readWish(args);
  await handOut(await readSource(wish.place), wish);
  return WELL;
}
