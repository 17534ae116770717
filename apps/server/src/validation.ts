import type { FastifyInstance } from 'fastify';
import fp from 'fastify-plugin';
import type Joi from 'joi';
import { ApiError } from './errors.ts';

/** The first fault that a schema finds in a part of a request, as an answer that says where it is. */
export function faultIn(error: Joi.ValidationError, part: readonly (string | number)[]): ApiError {
  const detail = error.details[0]!;
  return new ApiError('BAD_REQUEST', detail.message, [...part, ...detail.path].join('.'));
}

/** Checks every body, parameter and query that a route declares with Joi; the first fault is answered. */
export const validation = fp(async (app: FastifyInstance) => {
  app.setValidatorCompiler<Joi.Schema>(({ schema, httpPart }) => (data) => {
    const { value, error } = schema.validate(data, { convert: httpPart !== 'body', abortEarly: true });
    return error ? { error: faultIn(error, [httpPart ?? '']) } : { value };
  });
});
