/** Whether a paint, as CSS of a background, is more than one colour. */
export const isImage = (css: string): boolean => /^url\(|gradient\(/.test(css);
