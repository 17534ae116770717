import { choicesOf } from '@mint-lamp/core/document/delivery/forms';
import type { ProjectDocument } from '@mint-lamp/core/document/document';
import { writeChangesList } from '@mint-lamp/core/exchange/changes/changes-list';
import { writeChangesPage } from '@mint-lamp/core/exchange/changes/changes-page';
import { type ChangesSince, changesSince } from '@mint-lamp/core/exchange/changes/changes-since';
import { searchPairs, writeRenameScript } from '@mint-lamp/core/exchange/changes/rename-script';
import { chosenSystem } from '@mint-lamp/core/system/delivery/chosen-system';
import type { Regions } from '@mint-lamp/core/system/pictures/regions';
import { resolveSystem } from '@mint-lamp/core/system/resolve';
import type { Job } from '../job.ts';

interface ChangedInput {
  readonly before: ProjectDocument;
  readonly after: ProjectDocument;
  readonly regions: Regions;
  /** The day of the hand-over, in words. */
  readonly since: string;
}

export interface WhatChanged {
  readonly changes: ChangesSince;
  /** For whoever uses the files. */
  readonly list: string;
  readonly pairs: string;
  readonly script: string;
  /** For the client. */
  readonly page: string;
}

/** What changed between two states, with what is told of it to others. */
const work: Job<ChangedInput, WhatChanged> = ({ before, after, regions, since }) => {
  const chosen = (doc: ProjectDocument) => ({
    system: chosenSystem(resolveSystem(doc, undefined, regions), doc.delivery.leftOut).system,
    prefix: choicesOf(doc.delivery.choices, 'css').prefix,
  });
  const changes = changesSince(chosen(before), chosen(after));
  return {
    changes,
    list: writeChangesList(after.name, since, changes),
    pairs: `${JSON.stringify(searchPairs(changes), null, 2)}\n`,
    script: writeRenameScript(after.name, changes),
    page: writeChangesPage(after.name, since, changes),
  };
};
export default work;
