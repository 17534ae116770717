import type { Origin } from '../../../store/arrivals-slice.ts';

/** The files of a drop or a paste. */
export const filesOf = ({ files }: DataTransfer): Origin[] =>
  [...files].map((file) => ({ from: 'file', name: file.name, file }));
