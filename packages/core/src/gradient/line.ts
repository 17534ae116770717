/** The gradient line of a linear gradient across a box, as CSS Images 4 §3.1.1 has it. */

export interface Point {
  readonly x: number;
  readonly y: number;
}

export interface GradientLine {
  readonly start: Point;
  readonly end: Point;
  /** In the unit of the box. */
  readonly length: number;
}

/** The line for an angle (degrees, 0 up, 90 right) across a box with the origin at its top left corner. */
export function gradientLine(angle: number, width: number, height: number): GradientLine {
  const radians = (angle * Math.PI) / 180;
  const [dx, dy] = [Math.sin(radians), -Math.cos(radians)];
  const length = Math.abs(width * dx) + Math.abs(height * dy);
  const [cx, cy] = [width / 2, height / 2];
  return {
    start: { x: cx - (dx * length) / 2, y: cy - (dy * length) / 2 },
    end: { x: cx + (dx * length) / 2, y: cy + (dy * length) / 2 },
    length,
  };
}

/** How far along the line a point lies, in percent, projected at a right angle; outside 0–100 beyond the ends. */
export function alongLine(line: GradientLine, point: Point): number {
  if (line.length === 0) return 0;
  const dx = line.end.x - line.start.x;
  const dy = line.end.y - line.start.y;
  const t = ((point.x - line.start.x) * dx + (point.y - line.start.y) * dy) / (line.length * line.length);
  return t * 100;
}

/** A box with the origin at its top left corner. */
export interface Box {
  readonly width: number;
  readonly height: number;
}
