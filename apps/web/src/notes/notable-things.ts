import type { ProjectDocument } from '@mint-lamp/core/document/document';
import { type Noted, notedName } from '@mint-lamp/core/document/naming/note-name';
import { SCENE_NAMES } from '@mint-lamp/core/document/naming/scene-names';

/** What kinds of things notes are on, as they are called where there are many. */
export const NOTED_KINDS = [
  { value: 'project', label: 'The project' },
  { value: 'scene', label: 'Pages' },
  { value: 'theme', label: 'Themes' },
  { value: 'role', label: 'Roles' },
  { value: 'color', label: 'Families and shades' },
  { value: 'pair', label: 'Pairs' },
  { value: 'gradient', label: 'Gradients' },
  { value: 'swatch', label: 'The tray' },
] as const;
export type NotedKind = (typeof NOTED_KINDS)[number]['value'];

/** Of which of these kinds a thing is. */
export const notedKind = ({ kind }: Noted): NotedKind =>
  kind === 'shade' || kind === 'base' ? 'color' : kind;

export interface NotableThing {
  readonly on: Noted;
  readonly name: string;
  /** The kind that it stands under. */
  readonly group: string;
}

/** Everything in a project that a note can be written on, with its name; shades one by one are noted where they are. */
export function notableThings(document: ProjectDocument): NotableThing[] {
  const { roles, families, gradients, themes, pairs, tray } = document;
  const all: Noted[] = [
    { kind: 'project' },
    ...Object.keys(SCENE_NAMES).map((scene): Noted => ({ kind: 'scene', scene })),
    ...themes.map(({ id }): Noted => ({ kind: 'theme', theme: id })),
    ...roles.map(({ id }): Noted => ({ kind: 'role', role: id })),
    ...families.map(({ id }): Noted => ({ kind: 'base', family: id })),
    ...pairs.map(({ id }): Noted => ({ kind: 'pair', pair: id })),
    ...gradients.map(({ id }): Noted => ({ kind: 'gradient', gradient: id })),
    ...tray.map(({ id }): Noted => ({ kind: 'swatch', swatch: id })),
  ];
  return all.flatMap((on) => {
    const name = notedName(document, on);
    const group = NOTED_KINDS.find(({ value }) => value === notedKind(on))!.label;
    return name === null ? [] : [{ on, name, group }];
  });
}
