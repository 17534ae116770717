import type { ProjectDocument } from '@mint-lamp/core/document/document';
import { type Noted, notedName } from '@mint-lamp/core/document/naming/note-name';

/** Everything that somebody who has a share can write a note on, with its name. */
export function notableThings(document: ProjectDocument): { readonly on: Noted; readonly name: string }[] {
  const { roles, families, gradients } = document;
  const all: Noted[] = [
    ...roles.map(({ id }): Noted => ({ kind: 'role', role: id })),
    ...families.map(({ id }): Noted => ({ kind: 'base', family: id })),
    ...gradients.map(({ id }): Noted => ({ kind: 'gradient', gradient: id })),
  ];
  return all.flatMap((on) => {
    const name = notedName(document, on);
    return name === null ? [] : [{ on, name }];
  });
}
