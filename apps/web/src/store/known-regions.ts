import { NO_REGIONS, type Regions } from '@mint-lamp/core/system/pictures/regions';

/** The colours of the regions of pictures that texts lie over, as far as they were fetched. They never change. */
let known: Regions = NO_REGIONS;

export const knownRegions = (): Regions => known;

/** Takes on more of them; also the same again, as another object, where what was awaited can be measured now. */
export function takeRegions(regions: Regions): void {
  known = regions;
}
