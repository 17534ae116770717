import { FILE_FORMATS, type FileFormatId } from '@mint-lamp/core/exchange/file-formats';

/** The forms by whom they are for, in the order in which they are offered. */
export const FORM_GROUPS = [
  { id: 'code', name: 'For code' },
  { id: 'people', name: 'For people' },
  { id: 'tables', name: 'Tables' },
  { id: 'build', name: 'For a build' },
] as const;

export const formsIn = (group: (typeof FORM_GROUPS)[number]['id']) =>
  FILE_FORMATS.filter((format) => format.group === group);

export const isForm = (id: string | undefined): id is FileFormatId =>
  FILE_FORMATS.some((format) => format.id === id);

/** Views of the station besides its files. */
export const VALUES = 'values';
export const HAND_OVERS = 'hand-overs';
export const SHARES = 'shares';
export const WHOLE = 'project';
export const READ_BACK = 'read-back';
