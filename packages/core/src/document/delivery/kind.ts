import { kindOf } from '../kind.ts';
import { sameJson } from '../same.ts';
import { type Delivery, LEAVABLE, USUAL_DELIVERY } from './delivery.ts';
import {
  type DeliveryCommand,
  type DeliveryParts,
  deliverySteps,
  deliveryWords,
} from './delivery-commands.ts';
import { deliverySchemas } from './delivery-schema.ts';
import { choicesIn, FORM_IDS } from './forms.ts';

/** The commands that make what is chosen at Deliver in one state that of another. */
function between(from: Delivery, to: Delivery): DeliveryCommand[] {
  const out: DeliveryCommand[] = [];
  for (const kind of LEAVABLE) {
    if (sameJson(from.leftOut[kind], to.leftOut[kind])) continue;
    out.push({ type: 'leaveOut', kind, ids: from.leftOut[kind], out: false });
    out.push({ type: 'leaveOut', kind, ids: to.leftOut[kind], out: true });
  }
  for (const form of FORM_IDS)
    for (const choice of Object.keys(choicesIn(form))) {
      const value = to.choices[form]?.[choice] ?? null;
      if ((from.choices[form]?.[choice] ?? null) !== value)
        out.push({ type: 'chooseOfForm', form, choice, value });
    }
  if (!sameJson(from.pack, to.pack)) out.push({ type: 'setPack', forms: to.pack });
  if (from.copied !== to.copied) out.push({ type: 'setCopied', as: to.copied });
  return out;
}

export const delivery = kindOf<{ readonly delivery: Delivery }, DeliveryCommand, DeliveryParts>()({
  empty: { delivery: USUAL_DELIVERY },
  steps: deliverySteps,
  words: deliveryWords,
  schemas: deliverySchemas,
  compared: { delivery: { as: 'value', between } },
});
