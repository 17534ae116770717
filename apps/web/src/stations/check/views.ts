/** The views of Check besides the board, fetched together: each is small. */
export { default as matrix } from './matrix/matrix-page.tsx';
export { default as readers } from './readers/readers-page.tsx';
export { default as report } from './report/report-page.tsx';
