import type { ProjectDocument } from '@mint-lamp/core/document/document';

/** The commands that make a new project of two themes what a document says of its system; pairs over pictures aside. */
export const systemCommands = (doc: ProjectDocument): object[] => [
  ...doc.themes.map((theme) => ({ type: 'addTheme', theme, links: {} })),
  { type: 'removeTheme', theme: 'light' },
  { type: 'removeTheme', theme: 'dark' },
  ...doc.families.map((family) => ({ type: 'addFamily', family })),
  ...doc.roles.map((role) => ({ type: 'addRole', role })),
  ...doc.pairs.filter(({ backdrop }) => !backdrop).map((pair) => ({ type: 'addPair', pair })),
  ...doc.gradients.map((gradient) => ({ type: 'addGradient', gradient })),
];
