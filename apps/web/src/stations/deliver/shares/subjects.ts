import type { ProjectDocument } from '@mint-lamp/core/document/document';
import { groupsOf } from '@mint-lamp/core/document/tray/swatch';
import type { ShareSubject } from '@mint-lamp/core/wire/shares';
import { SCENES } from '../../../scene/scenes.ts';

/** Something that can be shared, by the word for it in an address. */
export interface Sharable {
  readonly value: string;
  readonly label: string;
  readonly group: string;
  readonly subject: ShareSubject;
}

/** Everything of a project that can be given to somebody outside. */
export function sharablesOf(document: ProjectDocument): Sharable[] {
  const { gradients, families, tray } = document;
  const all: Sharable[] = [
    { value: 'project', label: 'The whole project, as a page', group: '', subject: { kind: 'project' } },
    { value: 'report', label: 'What can be read, as a report', group: '', subject: { kind: 'report' } },
    {
      value: 'css',
      label: 'A live style sheet, for a developer’s page',
      group: '',
      subject: { kind: 'css' },
    },
    ...SCENES.map(({ id, name: label }) => ({
      value: `scene.${id}`,
      label,
      group: 'A scene',
      subject: { kind: 'scene', scene: id } as const,
    })),
    ...gradients.map(({ id, name: label }) => ({
      value: `gradient.${id}`,
      label,
      group: 'A gradient',
      subject: { kind: 'gradient', gradient: id } as const,
    })),
    ...families.map(({ id, name: label }) => ({
      value: `family.${id}`,
      label,
      group: 'A family',
      subject: { kind: 'family', family: id } as const,
    })),
    ...(tray.length
      ? [
          {
            value: 'tray',
            label: 'All of it',
            group: 'The tray, as a palette',
            subject: { kind: 'tray', group: null } as const,
          },
        ]
      : []),
    ...groupsOf(tray)
      .filter((group) => group.name)
      .map((group) => ({
        value: `tray.${group.name}`,
        label: group.name,
        group: 'The tray, as a palette',
        subject: { kind: 'tray', group: group.name } as const,
      })),
  ];
  return all;
}

/** What a share is of, in words. */
export function subjectWords(document: ProjectDocument, subject: ShareSubject): string {
  const nameIn = (list: readonly { id: string; name: string }[], id: string, what: string) =>
    list.find((one) => one.id === id)?.name ?? `a ${what} that is gone`;
  switch (subject.kind) {
    case 'project':
      return 'the whole project';
    case 'report':
      return 'what can be read';
    case 'css':
      return 'the live style sheet';
    case 'scene':
      return `the scene ${nameIn(SCENES, subject.scene, 'scene')}`;
    case 'gradient':
      return `the gradient ${nameIn(document.gradients, subject.gradient, 'gradient')}`;
    case 'family':
      return `the family ${nameIn(document.families, subject.family, 'family')}`;
    case 'tray':
      return subject.group ? `the tray’s group ${subject.group}` : 'the tray';
    case 'set':
      return 'a set on the shelf';
  }
}
