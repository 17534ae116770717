const BEGIN = 'drawing-';

/** The last part of a drawing's address on the Stage, and the drawing that such a part is of; null for a scene's. */
export const drawingAddress = (id: string): string => `${BEGIN}${id}`;
export const drawingOfAddress = (part: string | undefined): string | null =>
  part?.startsWith(BEGIN) ? part.slice(BEGIN.length) : null;
