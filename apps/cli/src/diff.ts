import { choicesOf } from '@mint-lamp/core/document/delivery/forms';
import type { ProjectDocument } from '@mint-lamp/core/document/document';
import { writeChangesList } from '@mint-lamp/core/exchange/changes/changes-list';
import { changesSince, isUnchanged } from '@mint-lamp/core/exchange/changes/changes-since';
import { searchPairs } from '@mint-lamp/core/exchange/changes/rename-script';
import { chosenSystem } from '@mint-lamp/core/system/delivery/chosen-system';
import { resolveSystem } from '@mint-lamp/core/system/resolve';
import { Fault, FOUND, WELL } from './fault.ts';
import { readFlags } from './flags.ts';
import { readSource } from './source.ts';

const FORMATS = ['text', 'json', 'names'];

const delivered = (document: ProjectDocument) => ({
  system: chosenSystem(resolveSystem(document), document.delivery.leftOut).system,
  prefix: choicesOf(document.delivery.choices, 'css').prefix,
});

/** `mint-lamp diff`: what changed from one project file, address or checkpoint to another. */
export async function run(args: readonly string[]): Promise<number> {
  const { places, values } = readFlags(args, ['format']);
  const [first, second] = places;
  if (!first || !second || places.length > 2)
    throw new Fault('Say two projects: files, addresses, or one and a checkpoint of it behind a #.');
  const { format = 'text' } = values;
  if (!FORMATS.includes(format))
    throw new Fault(`"${format}" is no format: write one of ${FORMATS.join(', ')}.`);
  const [before, after] = [await readSource(first), await readSource(second)];
  const changes = changesSince(delivered(before.document), delivered(after.document));
  if (format === 'text') process.stdout.write(writeChangesList(after.document.name, first, changes));
  else {
    const said = format === 'json' ? changes : searchPairs(changes);
    process.stdout.write(`${JSON.stringify(said, null, 2)}\n`);
  }
  return isUnchanged(changes) ? WELL : FOUND;
}
