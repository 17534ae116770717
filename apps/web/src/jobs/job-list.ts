/** Every job by name; each is loaded into a worker when it is first run there. */
export const JOBS = {
  beginSystem: () => import('./work/begin-system.ts'),
  cleanDrawing: () => import('./work/clean-drawing.ts'),
  cleanPage: () => import('./work/clean-page.ts'),
  compareSheets: () => import('./work/compare-sheets.ts'),
  takeSheetsAgain: () => import('./work/take-sheets-again.ts'),
  compare: () => import('./work/compare.ts'),
  deriveTheme: () => import('./work/derive-theme.ts'),
  findColors: () => import('./work/find-colors.ts'),
  findGradients: () => import('./work/find-gradients.ts'),
  palettesOfPicture: () => import('./work/palettes-of-picture.ts'),
  paintGradient: () => import('./work/paint-gradient.ts'),
  propose: () => import('./work/propose.ts'),
  readBack: () => import('./work/read-back.ts'),
  readProject: () => import('./work/read-project.ts'),
  readSheets: () => import('./work/read-sheets.ts'),
  sumUpSheet: () => import('./work/sum-up-sheet.ts'),
  moveSheets: () => import('./work/move-sheets.ts'),
  writeBill: () => import('./work/write-bill.ts'),
  projectSteps: () => import('./work/project-steps.ts'),
  repairAll: () => import('./work/repair-all.ts'),
  searchNames: () => import('./work/search-names.ts'),
  mergeTwins: () => import('./work/merge-twins.ts'),
  paintSheet: () => import('./work/paint-sheet.ts'),
  writeReport: () => import('./work/write-report.ts'),
  writeFile: () => import('./work/write-file.ts'),
  writeProject: () => import('./work/write-project.ts'),
  writePackage: () => import('./work/write-package.ts'),
  whatChanged: () => import('./work/what-changed.ts'),
};

export type JobName = keyof typeof JOBS;
type Work<N extends JobName> = Awaited<ReturnType<(typeof JOBS)[N]>>['default'];
export type InputOf<N extends JobName> = Parameters<Work<N>>[0];
export type OutputOf<N extends JobName> = Awaited<ReturnType<Work<N>>>;
