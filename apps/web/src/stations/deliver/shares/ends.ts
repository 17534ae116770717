const DAY_MS = 24 * 60 * 60 * 1000;

/** For how long a share can be open. */
export const ENDS = [
  { value: '1', label: 'in a day' },
  { value: '7', label: 'in a week' },
  { value: '30', label: 'in a month' },
  { value: '365', label: 'in a year' },
  { value: '1826', label: 'in five years' },
] as const;
export type Ends = (typeof ENDS)[number]['value'];

export const endOf = (ends: Ends): string => new Date(Date.now() + Number(ends) * DAY_MS).toISOString();
