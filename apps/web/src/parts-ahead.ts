/** What is fetched only when it is needed, and ahead when the page is quiet; apart, since nobody waits for these lists. */
export const PARTS = [
  () => import('./stations/fade/settings/hand-over.tsx'),
  () => import('./stations/fade/settings/cut-colors.tsx'),
  () => import('./stations/fade/paste-gradient.tsx'),
  () => import('./stations/fade/settings/whole-gradient.tsx'),
  () => import('./stations/check/board/pair-axis.tsx'),
  () => import('./stations/check/repair/ways-list.tsx'),
  () => import('./lamp/plane.tsx'),
  () => import('./lamp/painted-half.tsx'),
  () => import('./lamp/moves.tsx'),
  () => import('./lamp/standing.tsx'),
  () => import('./lamp/used-by.tsx'),
  () => import('./lamp/source-of-link.tsx'),
  () => import('./lamp/near-links.tsx'),
  () => import('./lamp/replace-everywhere.tsx'),
  () => import('./frame/steps-list.tsx'),
  () => import('./frame/under-texts.tsx'),
  () => import('./seeing/seeing-menu.tsx'),
  () => import('./seeing/seen-line.tsx'),
  () => import('./stations/check/under-text/under-text-editor.tsx'),
  () => import('./stations/check/suggested/suggested-panel.tsx'),
  () => import('./scene/scene-places.tsx'),
  () => import('./readout/thing-list.tsx'),
  () => import('./kinds/roles/role-actions.tsx'),
  () => import('./links/link-panel.tsx'),
  () => import('./tray/picked-tools.tsx'),
  () => import('./tray/add-color-form.tsx'),
];

/** What is large: charts, the names of colours, and all that runs in workers, the PDF among it. */
export const LARGE_PARTS = [
  () => import('./stations/grow/growth/curve-charts.tsx'),
  async () => (await import('./store/following-names.ts')).fetchNames(),
  async () => (await import('./jobs/run-job.ts')).loadJobsAhead(),
];
