import type { KindSchemas } from '../kind.ts';
import type { CommandSchemas } from '../schema/keys.ts';
import type { SchemaParts } from '../schema/toolbox.ts';
import { COPIED_AS, type Delivery, LEAVABLE, type LeftOut, MOST_LEFT_OUT } from './delivery.ts';
import type { DeliveryCommand } from './delivery-commands.ts';
import { type Choice, choicesIn, FORM_IDS, MOST_PREFIX, PREFIX_PATTERN } from './forms.ts';

export function deliverySchemas(parts: SchemaParts): KindSchemas<{ delivery: Delivery }, DeliveryCommand> {
  const { Joi, objectOf, id } = parts;

  const valueSchema = (choice: Choice) => {
    if (choice.as === 'one') return Joi.valid(...Object.keys(choice.options));
    if (choice.as === 'yes') return Joi.boolean().strict();
    if (choice.as === 'theme') return id;
    return Joi.string()
      .max(MOST_PREFIX)
      .pattern(PREFIX_PATTERN, 'small letters, digits, and hyphens between them')
      .allow('');
  };
  const formSchemas = FORM_IDS.map((form) => {
    const choices = Object.entries(choicesIn(form)).map(
      ([key, choice]) => [key, valueSchema(choice)] as const,
    );
    return [form, choices] as const;
  });

  const form = Joi.valid(...FORM_IDS);
  const ids = Joi.array().items(id).max(MOST_LEFT_OUT).unique().sort();
  const pack = Joi.array().items(form).max(FORM_IDS.length).unique();
  const copied = Joi.valid(...COPIED_AS);

  const deliverySchema = objectOf<Delivery>({
    leftOut: objectOf<LeftOut>({ family: ids, role: ids, theme: ids, gradient: ids }),
    choices: Joi.object(
      Object.fromEntries(
        formSchemas.map(([name, choices]) => [name, Joi.object(Object.fromEntries(choices)).min(1)]),
      ),
    ),
    pack,
    copied,
  });

  /** What a choice of a form can be, by both. */
  const value = Joi.when('form', {
    switch: formSchemas.map(([name, choices]) => ({
      is: name,
      then: Joi.when('choice', {
        switch: choices.map(([key, schema]) => ({ is: key, then: schema.allow(null).required() })),
        otherwise: Joi.forbidden(),
      }),
    })),
    otherwise: Joi.forbidden(),
  });

  const deliveryCommandSchemas: CommandSchemas<DeliveryCommand> = {
    leaveOut: {
      kind: Joi.valid(...LEAVABLE),
      ids: Joi.array().items(id).max(MOST_LEFT_OUT),
      out: Joi.boolean().strict(),
    },
    chooseOfForm: {
      form,
      choice: Joi.when('form', {
        switch: formSchemas.map(([name, choices]) => ({
          is: name,
          then: Joi.valid(...choices.map(([key]) => key)).required(),
        })),
      }),
      value,
    },
    setPack: { forms: pack },
    setCopied: { as: copied },
  };

  return { parts: { delivery: deliverySchema }, commands: deliveryCommandSchemas };
}
