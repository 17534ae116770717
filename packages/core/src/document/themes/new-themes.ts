/** The themes of a project that is begun. */
export const NEW_THEMES = [
  { id: 'light', name: 'Light' },
  { id: 'dark', name: 'Dark' },
];
