import { lasting } from '../../storing/storage.ts';

/** Which theme was switched on in a project, so that a reload shows what was seen before. */
const key = (projectId: string) => `mint-lamp/theme/${projectId}`;

export const recallTheme = (projectId: string): string | null => lasting.read(key(projectId));

/** Without storage the theme lasts as long as the page. */
export const rememberTheme = (projectId: string, theme: string): void => {
  lasting.write(key(projectId), theme);
};
