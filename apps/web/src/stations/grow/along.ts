/** A place on the axis (L*) as a shift, which the browser paints without laying the rail out again. */
export const along = (place: number) => `translateX(${place}cqw)`;
