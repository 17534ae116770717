/** An angle in degrees as the turn that comes to the same: from −180 on, below 180. Any finite number may be given. */
export const signedTurn = (degrees: number): number => ((((degrees + 180) % 360) + 360) % 360) - 180;
