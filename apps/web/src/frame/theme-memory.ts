/** Which theme was switched on in a project, so that a reload shows what was seen before. */
const key = (projectId: string) => `mint-lamp/theme/${projectId}`;

export function recallTheme(projectId: string): string | null {
  return localStorage.getItem(key(projectId));
}

export function rememberTheme(projectId: string, theme: string): void {
  try {
    localStorage.setItem(key(projectId), theme);
  } catch {
    // The theme then lasts as long as the page.
  }
}
