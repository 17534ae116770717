import cookie from '@fastify/cookie';
import { type Access, mayDo, PERSON_HEADER } from '@mint-lamp/core/wire/access';
import type { SignedIn } from '@mint-lamp/core/wire/people';
import type { FastifyInstance, FastifyRequest } from 'fastify';
import fp from 'fastify-plugin';
import type { DoorStore } from '../database/people/door-store.ts';
import type { OpenShare } from '../database/share-store.ts';
import { ApiError } from '../errors.ts';
import { params } from '../projects/schemas.ts';
import { faultIn } from '../validation.ts';
import { LOCAL_PERSON } from './local-person.ts';
import type { Needs } from './needs.ts';
import type { SessionCookie } from './session-cookie.ts';
import { openShare, type ShareDoor } from './share-door.ts';

/** A route of the API, and what it needs. */
interface GuardedRoute {
  readonly method: string;
  readonly url: string;
  readonly needs: Needs;
}

declare module 'fastify' {
  interface FastifyInstance {
    /** Every route of the API that is registered. */
    guardedRoutes: GuardedRoute[];
  }
  interface FastifyRequest {
    /** Who asks; null for nobody. */
    person: SignedIn | null;
    /** The session that they came with; null for none, as of the one person of a demo's computer. */
    session: string | null;
    /** What they may do with the project or team of the address; null where the route is of none. */
    access: Access | null;
    /** The share that they came by, at routes of shares. */
    readonly share: OpenShare;
    /** Who asks, at routes that need somebody. */
    readonly personId: string;
  }
}

export interface GateOptions {
  readonly door: DoorStore;
  readonly cookie: SessionCookie;
  readonly shares: ShareDoor;
  /** Whether whoever asks without signing in is the one person of this computer. */
  readonly local: boolean;
}

type NeedsOfThing = Exclude<Needs, string | { readonly share: unknown }>;

const CHANGES_NOTHING = new Set(['GET', 'HEAD']);

const notThere = (what: 'project' | 'team') =>
  new ApiError('NOT_FOUND', `There is no ${what} at this address.`, 'params.id');

const NOT_ALLOWED = {
  project: {
    look: '',
    note: 'You may look at this project, and not write in it. Ask an owner of its team.',
    edit: 'You may not change this project. Ask an owner of its team.',
    own: 'Only an owner of its team may do this with a project.',
  },
  team: {
    look: '',
    edit: 'Only its owners and editors begin projects in a team.',
    own: 'Only an owner of the team may do this.',
  },
} as const;

/** Which page a request says it is of: in the header, and of a stream of events, which has none, in the query. */
function saidPerson({ method, headers, query }: FastifyRequest): string | undefined {
  // A form of elsewhere can write any query, so that one says nothing of a change.
  const inQuery = CHANGES_NOTHING.has(method)
    ? (query as { person?: unknown } | undefined)?.person
    : undefined;
  const said = headers[PERSON_HEADER] ?? inQuery;
  return typeof said === 'string' ? said : undefined;
}

/**
 * Decides before anything else of a request is read whether whoever asks may. The one place in which that is decided:
 * a route that does not say what it needs is not registered.
 */
export const gate = fp(
  async (app: FastifyInstance, { door, cookie: sessions, shares, local }: GateOptions) => {
    await app.register(cookie);
    app.decorate('guardedRoutes', []);
    app.decorateRequest('person', null);
    app.decorateRequest('session', null);
    app.decorateRequest('access', null);
    const opened = new WeakMap<FastifyRequest, OpenShare>();
    app.decorateRequest('share', {
      getter(this: FastifyRequest) {
        const share = opened.get(this);
        if (!share) throw new Error('A route that is of no share has asked for one.');
        return share;
      },
    });
    app.decorateRequest('personId', {
      getter(this: FastifyRequest) {
        if (!this.person) throw new Error('A route that needs nobody has asked who asks.');
        return this.person.id;
      },
    });

    app.addHook('onRoute', ({ url, method, config }) => {
      if (config?.needs) {
        for (const one of [method].flat()) app.guardedRoutes.push({ method: one, url, needs: config.needs });
        return;
      }
      // The built interface, which is the same for everybody.
      const isPage = !url.startsWith('/api') && [method].flat().every((one) => CHANGES_NOTHING.has(one));
      if (!isPage)
        throw new Error(`The route ${method} ${url} does not say what it needs; see access/needs.ts.`);
    });

    const accessTo = async (request: FastifyRequest, personId: string, needs: object) => {
      const { error, value } = params.validate({ id: (request.params as { id?: unknown }).id });
      if (error) throw faultIn(error, ['params']);
      const { id } = value as { id: string };
      if ('team' in needs) return door.toTeam(personId, id);
      return 'removed' in needs ? door.toRemoved(personId, id) : door.toProject(personId, id);
    };

    const checkThing = async (request: FastifyRequest, personId: string, needs: NeedsOfThing) => {
      const what = 'team' in needs ? 'team' : 'project';
      const access = await accessTo(request, personId, needs);
      if (!access) throw notThere(what);
      request.access = access;
      if ('team' in needs) {
        if (!mayDo(access, needs.team)) throw new ApiError('NOT_ALLOWED', NOT_ALLOWED.team[needs.team]);
        return;
      }
      const ability = 'project' in needs ? needs.project : needs.removed;
      if (!mayDo(access, ability)) throw new ApiError('NOT_ALLOWED', NOT_ALLOWED.project[ability]);
    };

    app.addHook('onRequest', async (request) => {
      const needs = request.routeOptions.config.needs;
      if (!needs) return;
      // Who has a share is nobody, whoever they are otherwise.
      if (typeof needs === 'object' && 'share' in needs) {
        opened.set(request, await openShare(request, needs.share, shares));
        return;
      }
      const token = sessions.read(request);
      const visitor = token && (await door.visitor(token));
      if (visitor) {
        const { session, ...person } = visitor;
        Object.assign(request, { person, session });
      } else if (local) request.person = LOCAL_PERSON;
      if (needs === 'anyone') return;
      const { person, session } = request;
      if (!person) throw new ApiError('NOT_SIGNED_IN', 'Sign in first.');
      const said = saidPerson(request);
      if (said !== undefined && said !== person.id)
        throw new ApiError('OTHER_PERSON', 'In this browser somebody else is signed in now.');
      // A cookie goes along with whatever page of elsewhere makes a browser send; a header of ours does not.
      if (session && said === undefined && !CHANGES_NOTHING.has(request.method))
        throw new ApiError('FOREIGN_PAGE', `Say who asks, in the header ${PERSON_HEADER}.`, 'headers');
      if (needs === 'account' && !session)
        throw new ApiError('NOT_SIGNED_IN', 'This needs an account; the person of this computer has none.');
      if (needs === 'administrator' && !person.administrator)
        throw new ApiError('NOT_FOUND', 'There is nothing at this address.');
      if (typeof needs === 'object') await checkThing(request, person.id, needs);
    });
  },
);
