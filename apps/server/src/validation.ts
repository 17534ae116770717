import type { FastifyInstance } from 'fastify';
import fp from 'fastify-plugin';
import type Joi from 'joi';
import { ApiError } from './errors.ts';

/** Checks every body, parameter and query that a route declares with Joi; the first fault is answered. */
export const validation = fp(async (app: FastifyInstance) => {
  app.setValidatorCompiler<Joi.Schema>(({ schema, httpPart }) => (data) => {
    const { value, error } = schema.validate(data, { convert: httpPart !== 'body', abortEarly: true });
    if (!error) return { value };
    const detail = error.details[0]!;
    return { error: new ApiError('BAD_REQUEST', detail.message, [httpPart, ...detail.path].join('.')) };
  });
});
