import type { Noted } from '@mint-lamp/core/document/naming/note-name';
import { addressOf, notesAddress } from '../addresses.ts';

/** Where a thing with a note on it is looked at. */
export function addressOfNoted(project: string, on: Noted): string {
  switch (on.kind) {
    case 'shade':
      return addressOf(project, 'grow', on.family, on.shade);
    case 'base':
      return addressOf(project, 'grow', on.family);
    case 'role':
      return addressOf(project, 'assign', on.role);
    case 'pair':
      return addressOf(project, 'check', on.pair);
    case 'gradient':
      return addressOf(project, 'fade', on.gradient);
    case 'swatch':
      return addressOf(project, 'gather');
    case 'theme':
      return addressOf(project, 'assign');
    case 'scene':
      return addressOf(project, 'stage', on.scene);
    case 'project':
      return notesAddress(project);
  }
}
