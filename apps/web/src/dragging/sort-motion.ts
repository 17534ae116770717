/** How what is sorted moves aside: as the library has it, or at once where motion is not wanted. */
export const SORT_MOTION = matchMedia('(prefers-reduced-motion: reduce)').matches ? { transition: null } : {};
