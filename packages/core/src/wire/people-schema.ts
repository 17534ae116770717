import Joi from 'joi';
import { ACCESSES } from './access.ts';
import { MOST_EMAIL, MOST_PASSPHRASE, MOST_PERSON_NAME } from './people.ts';

const address = Joi.string().email({ tlds: false, minDomainSegments: 1 }).max(MOST_EMAIL);

/** One spelling for all of them: who types capitals, or a space behind it, is the same person. */
export const email = Joi.string()
  .max(MOST_EMAIL + 20)
  .custom((value: string, helpers) => {
    const spelt = value.trim().toLowerCase();
    return address.validate(spelt).error ? helpers.error('string.email') : spelt;
  })
  .messages({
    'string.email': 'This is no e-mail address; it is like name@example.org.',
    'string.empty': 'Type an e-mail address.',
  })
  .required();

/** A name that is shown: nothing in it that does not show, or turns what stands beside it around. */
const sayable = Joi.string()
  .max(4 * MOST_PERSON_NAME)
  .custom((value: string, helpers) => {
    const spelt = value.normalize('NFC').trim().replace(/\s+/g, ' ');
    const length = [...spelt].length;
    if (!length || length > MOST_PERSON_NAME || /[\p{Cc}\p{Cf}\p{Cs}\p{Zl}\p{Zp}]/u.test(spelt))
      return helpers.error('string.base');
    return spelt;
  })
  .messages({
    'string.base': `A name has 1 to ${MOST_PERSON_NAME} letters, all of which show.`,
    'string.empty': 'Type a name.',
  });
export const personName = sayable.required();
export const teamName = sayable.required();

/** Any letters, as many as can be typed by somebody; whether it is good enough is looked at apart (`weak-passphrase.ts`). */
export const passphrase = Joi.string()
  .min(1)
  .max(MOST_PASSPHRASE)
  .required()
  .messages({
    'string.empty': 'Type a passphrase.',
    'string.max': `A passphrase has at most ${MOST_PASSPHRASE} letters.`,
  });
/** Of the second factor, or a recovery code. */
export const code = Joi.string().max(40).allow('');
export const token = Joi.string()
  .pattern(/^[\w-]{43}$/, 'token')
  .required();
export const access = Joi.valid(...ACCESSES).required();
