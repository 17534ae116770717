/** A share of an area, 0–1, in words that never round it to none or to all: "12 %", "under 1 %", "over 99 %". */
export function shareWords(share: number): string {
  if (share <= 0 || share >= 1) return `${share <= 0 ? 0 : 100} %`;
  if (share < 0.01) return 'under 1 %';
  return share > 0.99 ? 'over 99 %' : `${Math.round(share * 100)} %`;
}
