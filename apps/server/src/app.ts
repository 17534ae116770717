import helmet from '@fastify/helmet';
import Fastify, { type FastifyInstance, type FastifyServerOptions } from 'fastify';
import type { DataSource } from 'typeorm';
import { artworkRoutes } from './artworks/routes.ts';
import { bodies } from './bodies.ts';
import { checkpointRoutes } from './checkpoints/routes.ts';
import { database as databasePlugin } from './database/database.ts';
import { deliverRoutes } from './deliver/routes.ts';
import { answerClientError, answerFrameworkError, errors } from './errors.ts';
import { handOverRoutes } from './hand-overs/routes.ts';
import { hosts, LOOPBACK_NAMES } from './hosts/hosts.ts';
import { jobs, type openLanes } from './jobs/jobs.ts';
import { libraryRoutes, NO_STAND_INS, type Outside } from './library/routes.ts';
import { live } from './live/live.ts';
import { owner } from './owner/owner.ts';
import { type Fetching, pictureRoutes } from './pictures/routes.ts';
import { projectRoutes } from './projects/routes.ts';
import { reportRoutes } from './reports/routes.ts';
import { schemaVersion } from './schema-version/schema-version.ts';
import { shelfRoutes } from './shelf/routes.ts';
import { validation } from './validation.ts';
import { web } from './web/static.ts';

export interface AppOptions {
  readonly database: DataSource;
  /** Folder of the built interface; left out where only the API is wanted. */
  readonly webRoot?: string;
  readonly logger?: FastifyServerOptions['logger'];
  /** How long a request may take to arrive, ms: its head, and all of it; and how often that is looked at. */
  readonly patience?: { readonly head: number; readonly whole: number; readonly look: number };
  /** The names under which the server may be asked; those of loopback if left out. */
  readonly names?: readonly string[];
  /** What stands for the outside world; nothing if left out. */
  readonly outside?: Outside;
  readonly fetching?: Fetching;
  /** What jobs may take; as usual where it is left out. */
  readonly jobLimits?: Parameters<typeof openLanes>[0];
}

// Long enough for a picture of 40 MB on a slow line.
const PATIENCE = { head: 15_000, whole: 120_000, look: 5000 };

/** The server with all its plugins, not yet listening. */
export async function buildApp({
  database,
  webRoot = '',
  logger = false,
  names = LOOPBACK_NAMES,
  patience = PATIENCE,
  outside = NO_STAND_INS,
  fetching = {},
  jobLimits,
}: AppOptions): Promise<FastifyInstance> {
  const app = Fastify({
    logger: logger ?? false,
    // What needs more says so itself.
    bodyLimit: 64 * 1024,
    forceCloseConnections: true,
    // A request that is not sent to its end does not stay.
    requestTimeout: patience.whole,
    http: { headersTimeout: patience.head, connectionsCheckingInterval: patience.look },
    clientErrorHandler: answerClientError,
    frameworkErrors: answerFrameworkError,
  });
  await app.register(errors);
  await app.register(hosts, { names });
  await app.register(helmet, {
    contentSecurityPolicy: {
      useDefaults: false,
      directives: {
        defaultSrc: ["'self'"],
        scriptSrc: ["'self'"],
        workerSrc: ["'self'"],
        // Parts of the interface kit write style elements; see docs/decisions.md.
        styleSrc: ["'self'", "'unsafe-inline'"],
        imgSrc: ["'self'", 'data:', 'blob:'],
        fontSrc: ["'self'"],
        connectSrc: ["'self'"],
        // Papers are shown in the browser's own reader, from what the page has written itself.
        frameSrc: ["'self'", 'blob:'],
        objectSrc: ["'none'"],
        baseUri: ["'none'"],
        formAction: ["'self'"],
        frameAncestors: ["'none'"],
      },
    },
    strictTransportSecurity: false,
  });
  await app.register(bodies);
  await app.register(validation);
  await app.register(schemaVersion);
  await app.register(owner);
  await app.register(databasePlugin, { source: database });
  await app.register(jobs, jobLimits ? { limits: jobLimits } : {});
  await app.register(live, { database });
  await app.register(projectRoutes, { prefix: '/api/projects' });
  await app.register(libraryRoutes, {
    prefix: '/api/library',
    pictures: outside.pictures,
    artworks: outside.artworks,
  });
  await app.register(checkpointRoutes, { prefix: '/api/projects/:id/checkpoints' });
  await app.register(handOverRoutes, { prefix: '/api/projects/:id/hand-overs' });
  await app.register(deliverRoutes, { prefix: '/api/projects/:id/deliver' });
  await app.register(reportRoutes, { prefix: '/api/projects/:id/report' });
  await app.register(pictureRoutes, {
    prefix: '/api/projects/:id/pictures',
    fetching: { ...fetching, standIns: outside.standIns },
  });
  await app.register(artworkRoutes, {
    prefix: '/api/projects/:id/artworks',
    fetching: { ...fetching, standIns: outside.standIns },
  });
  await app.register(shelfRoutes, { prefix: '/api/shelf' });
  await app.register(web, { root: webRoot });
  return app;
}
