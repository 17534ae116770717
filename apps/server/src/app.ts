import helmet from '@fastify/helmet';
import Fastify, { type FastifyInstance, type FastifyServerOptions } from 'fastify';
import type { DataSource } from 'typeorm';
import { openChangeFeed } from './database/change-feed.ts';
import { projectStore } from './database/project-store.ts';
import { answerFrameworkError, errors } from './errors.ts';
import { projectRoutes } from './projects/routes.ts';
import { validation } from './validation.ts';
import { web } from './web/static.ts';

export interface AppOptions {
  readonly database: DataSource;
  /** Folder of the built interface; left out where only the API is wanted. */
  readonly webRoot?: string;
  readonly logger?: FastifyServerOptions['logger'];
}

/** The server with all its plugins, not yet listening. */
export async function buildApp({
  database,
  webRoot = '',
  logger = false,
}: AppOptions): Promise<FastifyInstance> {
  const app = Fastify({
    logger: logger ?? false,
    bodyLimit: 2 * 1024 * 1024,
    forceCloseConnections: true,
    frameworkErrors: answerFrameworkError,
  });
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
        objectSrc: ["'none'"],
        baseUri: ["'none'"],
        formAction: ["'self'"],
        frameAncestors: ["'none'"],
      },
    },
    strictTransportSecurity: false,
  });
  await app.register(errors);
  await app.register(validation);
  const feed = openChangeFeed(database);
  app.addHook('onClose', () => feed.close());
  app.get('/api/health', async () => {
    await database.query('SELECT 1');
    return { ok: true };
  });
  await app.register(projectRoutes, { prefix: '/api/projects', projects: projectStore(database), feed });
  await app.register(web, { root: webRoot });
  return app;
}
