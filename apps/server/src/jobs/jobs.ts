import { MOST_PICTURE_BYTES } from '@mint-lamp/core/picture/kind';
import type { FastifyInstance } from 'fastify';
import fp from 'fastify-plugin';
import { Lane, type LaneLimits } from './lane.ts';

declare module 'fastify' {
  interface FastifyInstance {
    jobs: Lanes;
  }
}

const MB = 1024 * 1024;

/**
 * How much may be going on at a time, so that its sum is bounded whatever is sent: two files are read, of up to 50
 * megapixels each, one drawing is painted, one region counted, one report written.
 */
const LIMITS = {
  files: { processes: 2, waiting: 64, patience: 30_000, memory: 1200 * MB },
  drawings: { processes: 1, waiting: 16, patience: 15_000, memory: 1000 * MB },
  regions: { processes: 1, waiting: 256, patience: 30_000, memory: 1200 * MB },
  reports: { processes: 1, waiting: 16, patience: 60_000, memory: 1500 * MB },
} as const satisfies Record<string, LaneLimits>;

const seconds = ({ patience }: LaneLimits) => `${patience / 1000} seconds`;

/** Rows of jobs that do not wait for each other: what one kind of file takes keeps nothing else waiting. */
export type Lanes = Readonly<Record<keyof typeof LIMITS, Lane>>;

/** `limits` are as usual where they are left out. */
export function openLanes(limits: Partial<Record<keyof typeof LIMITS, Partial<LaneLimits>>> = {}): Lanes {
  const of = (name: keyof typeof LIMITS) => ({ ...LIMITS[name], ...limits[name] });
  const [files, drawings, regions, reports] = [of('files'), of('drawings'), of('regions'), of('reports')];
  return {
    files: new Lane(files, {
      late: `Reading this picture took more than ${seconds(files)}, and was given up. Save it anew, smaller or as another kind.`,
      large: `Reading this picture takes more memory than there is for one. Save it anew, smaller than ${MOST_PICTURE_BYTES / 1e6} MB or as another kind.`,
    }),
    drawings: new Lane(drawings, {
      late: `Painting this drawing took more than ${seconds(drawings)}, and was given up. Filters, groups with an opacity and very many shapes cost most: leave some out, or save it as PNG.`,
      large:
        'Painting this drawing takes more memory than there is for one. Make it smaller, leave out filters and groups with an opacity, or save it as PNG.',
    }),
    regions: new Lane(regions, {
      late: `Counting the colours of this region took more than ${seconds(regions)}, and was given up.`,
      large: 'Counting the colours of this region takes more memory than there is for it.',
    }),
    reports: new Lane(reports, {
      late: `Measuring all pairs took more than ${seconds(reports)}, and was given up.`,
      large: 'Measuring all pairs takes more memory than there is for it.',
    }),
  };
}

export function closeLanes(lanes: Lanes): void {
  for (const lane of Object.values(lanes)) lane.close();
}

/** Gives the areas their lanes, and ends all that is under way with the server. */
export const jobs = fp(
  async (app: FastifyInstance, { limits }: { limits?: Parameters<typeof openLanes>[0] }) => {
    const lanes = openLanes(limits);
    app.decorate('jobs', lanes);
    app.addHook('preClose', async () => closeLanes(lanes));
  },
);
