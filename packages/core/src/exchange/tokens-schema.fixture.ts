/**
 * The Design Tokens Format Module 2025.10 as JSON schemas, as far as our files go: written from its text (§5 names and groups,
 * §6 values and references, §8.1 colour, §9.6 gradient) and that of its resolver module (§4), for tests.
 */
const REFERENCE = { type: 'string', pattern: '^\\{[^{}$.][^{}.]*(\\.[^{}.]+)*\\}$' };
const ALPHA = { type: 'number', minimum: 0, maximum: 1 };

const color = {
  type: 'object',
  properties: {
    colorSpace: { enum: ['srgb', 'srgb-linear', 'hsl', 'hwb', 'lab', 'lch', 'oklab', 'oklch', 'display-p3'] },
    components: {
      type: 'array',
      minItems: 3,
      maxItems: 3,
      items: { anyOf: [{ type: 'number' }, { const: 'none' }] },
    },
    alpha: ALPHA,
    hex: { type: 'string', pattern: '^#[0-9a-f]{6}$' },
  },
  required: ['colorSpace', 'components'],
  additionalProperties: false,
};

const gradient = {
  type: 'array',
  minItems: 1,
  items: {
    type: 'object',
    properties: { color: { anyOf: [color, REFERENCE] }, position: ALPHA },
    required: ['color', 'position'],
    additionalProperties: false,
  },
};

const metadata = {
  $description: { type: 'string' },
  $deprecated: { anyOf: [{ type: 'boolean' }, { type: 'string' }] },
  $extensions: { type: 'object' },
};

const token = {
  type: 'object',
  properties: { $type: { enum: ['color', 'gradient'] }, $value: {}, ...metadata },
  required: ['$value', '$type'],
  additionalProperties: false,
  allOf: [
    {
      if: { properties: { $type: { const: 'color' } } },
      then: { properties: { $value: { anyOf: [color, REFERENCE] } } },
      else: { properties: { $value: { anyOf: [gradient, REFERENCE] } } },
    },
  ],
};

const group = {
  type: 'object',
  properties: { $root: token, ...metadata },
  patternProperties: { '^[^$.{}][^.{}]*$': { $ref: '#/definitions/tokenOrGroup' } },
  additionalProperties: false,
  not: { required: ['$value'] },
};

const tokens = {
  definitions: {
    tokenOrGroup: { if: { required: ['$value'] }, then: token, else: { $ref: '#/definitions/group' } },
    group,
  },
  $ref: '#/definitions/group',
};

const sources = { type: 'array', items: { type: 'object' } };
const resolver = {
  type: 'object',
  properties: {
    name: { type: 'string' },
    version: { const: '2025.10' },
    description: { type: 'string' },
    sets: {
      type: 'object',
      additionalProperties: {
        type: 'object',
        properties: { description: { type: 'string' }, sources, ...metadata },
        required: ['sources'],
        additionalProperties: false,
      },
    },
    modifiers: {
      type: 'object',
      additionalProperties: {
        type: 'object',
        properties: {
          description: { type: 'string' },
          contexts: { type: 'object', additionalProperties: sources },
          default: { type: 'string' },
          ...metadata,
        },
        required: ['contexts'],
        additionalProperties: false,
      },
    },
    resolutionOrder: {
      type: 'array',
      items: {
        type: 'object',
        properties: { $ref: { type: 'string', pattern: '^#/(sets|modifiers)/[^/]+$' } },
        required: ['$ref'],
        additionalProperties: false,
      },
    },
    ...metadata,
  },
  required: ['version', 'resolutionOrder'],
  additionalProperties: false,
};

export const TOKENS_SCHEMA = { tokens, resolver } as const;
