import Fastify, { type FastifyInstance } from 'fastify';
import fp from 'fastify-plugin';
import { Counter, collectDefaultMetrics, Gauge, Histogram, Registry } from 'prom-client';
import type { DataSource } from 'typeorm';
import { connectionsOf } from '../database/connections.ts';

/** From 5 ms to 20 s, as answers take. */
const SECONDS = [0.005, 0.01, 0.025, 0.05, 0.1, 0.25, 0.5, 1, 2.5, 5, 20];

/** Counts what this process does, and shows it in Prometheus' text form at an address of its own port. */
export const metrics = fp(
  async (
    app: FastifyInstance,
    { host, port, database }: { host: string; port: number; database: DataSource },
  ) => {
    const registry = new Registry();
    collectDefaultMetrics({ register: registry });
    const registers = [registry];
    const durations = new Histogram({
      name: 'mint_lamp_request_seconds',
      help: 'How long answers took, by route and status.',
      labelNames: ['method', 'route', 'status'],
      buckets: SECONDS,
      registers,
    });
    const refused = new Counter({
      name: 'mint_lamp_sign_ins_refused_total',
      help: 'Sign-ins with a wrong passphrase or code, or too often.',
      registers,
    });
    new Gauge({
      name: 'mint_lamp_streams',
      help: 'Pages that listen to changes.',
      registers,
      collect() {
        this.set(app.changes.listening());
      },
    });
    new Gauge({
      name: 'mint_lamp_jobs',
      help: 'Jobs in processes of their own, by lane and whether they run or wait.',
      labelNames: ['lane', 'state'],
      registers,
      collect() {
        for (const [lane, { counts }] of Object.entries(app.jobs)) {
          this.set({ lane, state: 'running' }, counts.running);
          this.set({ lane, state: 'waiting' }, counts.waiting);
        }
      },
    });
    new Gauge({
      name: 'mint_lamp_database_connections',
      help: 'Connections to the database: those there are, those that do nothing, and who waits for one.',
      labelNames: ['state'],
      registers,
      collect() {
        for (const [state, count] of Object.entries(connectionsOf(database))) this.set({ state }, count);
      },
    });
    new Gauge({
      name: 'mint_lamp_letters_waiting',
      help: 'Letters that have not gone out yet.',
      registers,
      async collect() {
        // Without the database the rest is told all the same.
        const waiting = await app.letters.store.waiting().catch(() => null);
        if (waiting !== null) this.set(waiting);
      },
    });

    app.addHook('onResponse', async ({ method, routeOptions }, reply) => {
      const route = routeOptions?.url ?? 'none';
      durations.observe({ method, route, status: String(reply.statusCode) }, reply.elapsedTime / 1000);
      if (route === '/api/sign-in' && reply.statusCode >= 400) refused.inc();
    });

    const own = Fastify({ forceCloseConnections: true });
    own.get('/metrics', async (_, reply) => reply.type(registry.contentType).send(await registry.metrics()));
    await own.listen({ host, port });
    app.addHook('onClose', () => own.close());
  },
);
