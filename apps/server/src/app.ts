import helmet from '@fastify/helmet';
import Fastify, { type FastifyInstance, type FastifyServerOptions } from 'fastify';
import type { DataSource } from 'typeorm';
import { artworkRoutes, artworksToBeginRoutes } from './artworks/routes.ts';
import { bodies } from './bodies.ts';
import { checkpointRoutes } from './checkpoints/routes.ts';
import { database as databasePlugin } from './database/database.ts';
import { deliverRoutes } from './deliver/routes.ts';
import { ending } from './ending/ending.ts';
import { health } from './ending/health.ts';
import { answerClientError, answerFrameworkError, errors } from './errors.ts';
import { handOverRoutes } from './hand-overs/routes.ts';
import { hosts, LOOPBACK_NAMES } from './hosts/hosts.ts';
import { jobs, type openLanes } from './jobs/jobs.ts';
import { letters, type Mail } from './letters/letters.ts';
import { mailboxRoutes } from './letters/mailbox-routes.ts';
import { type Telling, tellMentioned } from './letters/tell-mentioned.ts';
import { libraryRoutes, NO_STAND_INS, type Outside } from './library/routes.ts';
import { licences } from './licences/licences.ts';
import { live } from './live/live.ts';
import { newRequestId, requestId } from './logging/logging.ts';
import { metrics } from './metrics/metrics.ts';
import { accountRoutes } from './people/account-routes.ts';
import { invitationRoutes } from './people/invitation-routes.ts';
import { type PeopleOptions, people } from './people/people.ts';
import { serverRoutes } from './people/server-routes.ts';
import { signInRoutes } from './people/sign-in-routes.ts';
import { type Fetching, pictureRoutes } from './pictures/routes.ts';
import type { BucketStore } from './pictures/storing/bucket.ts';
import { presenceRoutes } from './presence/routes.ts';
import { projectPeopleRoutes } from './projects/people-routes.ts';
import { projectRoutes } from './projects/routes.ts';
import { reportRoutes } from './reports/routes.ts';
import { schemaVersion } from './schema-version/schema-version.ts';
import { dragRoutes, liveCssRoutes } from './shares/live-css-routes.ts';
import { shareRoutes } from './shares/routes.ts';
import { sharePage } from './shares/share-page.ts';
import { sharedRoutes } from './shares/shared-routes.ts';
import { shelfRoutes } from './shelf/routes.ts';
import { teamRoutes } from './teams/routes.ts';
import { validation } from './validation.ts';
import { web } from './web/static.ts';

export interface AppOptions {
  readonly database: DataSource;
  /** A copy of the database that only reads are asked of. */
  readonly replica?: DataSource | null;
  /** Where the bytes of pictures lie; in the database if left out. */
  readonly bucket?: BucketStore | null;
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
  /** How it is known who asks; everybody is the one person of this computer if left out. */
  readonly people?: PeopleOptions;
  /** How letters go out; to a mailbox that is opened here if left out. */
  readonly mail?: Mail;
  /** When who is named in a note is told by letter; as usual if left out. */
  readonly telling?: Telling;
  /** Who stands between browsers and this server, and is believed whom it asks for; nobody if left out. */
  readonly trustProxy?: string[];
  /** For how long what is under way is finished when the server is closed, ms. */
  readonly grace?: number;
  /** Where what is counted can be read; nothing is counted if left out. */
  readonly metrics?: { readonly host: string; readonly port: number } | null;
  /** What jobs may take; as usual where it is left out. */
  readonly jobLimits?: Parameters<typeof openLanes>[0];
}

/** As on the demo's own computer. */
const ONE_PERSON: PeopleOptions = {
  local: true,
  // Of a computer of one's own: what is encrypted with it is as safe as the database is.
  secret: 'the one person of this computer',
  publicAddress: 'http://127.0.0.1:5170',
  sessions: { hours: 24 * 90, idleHours: 24 * 14 },
};

const YEAR_S = 365 * 24 * 60 * 60;
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
  people: who = ONE_PERSON,
  mail = { way: 'mailbox' },
  telling,
  trustProxy,
  grace = 0,
  metrics: counted = null,
  replica = null,
  bucket = null,
}: AppOptions): Promise<FastifyInstance> {
  const app = Fastify({
    logger: logger ?? false,
    trustProxy: trustProxy ?? false,
    genReqId: newRequestId,
    // What needs more says so itself.
    bodyLimit: 64 * 1024,
    // What is under way is waited for before (`ending.ts`).
    forceCloseConnections: true,
    return503OnClosing: false,
    // A request that is not sent to its end does not stay.
    requestTimeout: patience.whole,
    http: { headersTimeout: patience.head, connectionsCheckingInterval: patience.look },
    clientErrorHandler: answerClientError,
    frameworkErrors: answerFrameworkError,
  });
  await app.register(errors);
  await app.register(requestId);
  await app.register(ending, { grace });
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
    // Only over TLS is it of any use, and only there is it right.
    strictTransportSecurity: who.publicAddress.startsWith('https:') ? { maxAge: YEAR_S } : false,
  });
  await app.register(bodies);
  await app.register(validation);
  await app.register(schemaVersion);
  await app.register(people, { ...who, database });
  await app.register(letters, { database, mail });
  await app.register(databasePlugin, { source: database, replica, bucket });
  if (!who.local) await app.register(tellMentioned, telling ? { telling } : {});
  await app.register(jobs, jobLimits ? { limits: jobLimits } : {});
  await app.register(live, { database });
  if (counted) await app.register(metrics, { ...counted, database });
  await app.register(health, { source: database });
  await app.register(licences);
  await app.register(signInRoutes, { prefix: '/api' });
  await app.register(invitationRoutes, { prefix: '/api/invitation' });
  await app.register(accountRoutes, { prefix: '/api/account' });
  await app.register(teamRoutes, { prefix: '/api/teams' });
  await app.register(serverRoutes, { prefix: '/api/server' });
  await app.register(mailboxRoutes, { prefix: '/api/mailbox' });
  await app.register(projectRoutes, { prefix: '/api/projects' });
  await app.register(projectPeopleRoutes, { prefix: '/api/projects' });
  await app.register(libraryRoutes, {
    prefix: '/api/library',
    pictures: outside.pictures,
    artworks: outside.artworks,
    prototype: outside.prototype ?? null,
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
  await app.register(artworksToBeginRoutes, {
    prefix: '/api/artworks',
    fetching: { ...fetching, standIns: outside.standIns },
  });
  await app.register(shelfRoutes, { prefix: '/api/shelf' });
  await app.register(shareRoutes, { prefix: '/api/projects/:id' });
  await app.register(presenceRoutes, { prefix: '/api/projects/:id' });
  await app.register(dragRoutes, { prefix: '/api/projects/:id' });
  await app.register(liveCssRoutes, { prefix: '/api/shared/:token' });
  await app.register(sharedRoutes, { prefix: '/api/shared/:token' });
  await app.register(sharePage, { root: webRoot, publicAddress: who.publicAddress });
  await app.register(web, { root: webRoot });
  return app;
}
