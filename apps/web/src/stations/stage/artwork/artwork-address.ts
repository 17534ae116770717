const BEGIN = 'own-';

/** The last part of an artwork's address on the Stage, and the artwork that such a part is of; null for a scene's. */
export const artworkAddress = (id: string): string => `${BEGIN}${id}`;
export const artworkOfAddress = (part: string | undefined): string | null =>
  part?.startsWith(BEGIN) ? part.slice(BEGIN.length) : null;
