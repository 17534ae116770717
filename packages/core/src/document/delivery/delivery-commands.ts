import type { StepsOf, WordsOf } from '../commands/definition.ts';
import { Refusal } from '../commands/refusal.ts';
import { nameIn } from '../naming/names.ts';
import { type NamedRole, roleNameIn } from '../naming/role-name.ts';
import { type CopiedAs, type Delivery, type Leavable, MOST_LEFT_OUT } from './delivery.ts';
import { type ChosenValue, choicesIn, type FormId, type KeptChoices } from './forms.ts';

type Named = readonly { readonly id: string; readonly name: string }[];

/** What these commands look at. */
export interface DeliveryParts {
  readonly delivery: Delivery;
  readonly roles: readonly NamedRole[];
  readonly families: Named;
  readonly themes: Named;
  readonly gradients: Named;
}

export type DeliveryCommand =
  /** Leaves things out of what is handed over, or lets them in again. */
  | {
      readonly type: 'leaveOut';
      readonly kind: Leavable;
      readonly ids: readonly string[];
      readonly out: boolean;
    }
  /** Null for the usual. */
  | {
      readonly type: 'chooseOfForm';
      readonly form: FormId;
      readonly choice: string;
      readonly value: ChosenValue;
    }
  | { readonly type: 'setPack'; readonly forms: readonly FormId[] }
  | { readonly type: 'setCopied'; readonly as: CopiedAs };

/** Choices with one set, or without it where it is the usual. */
function chosen(kept: KeptChoices, form: FormId, choice: string, value: ChosenValue): KeptChoices {
  const { [choice]: _, ...rest } = kept[form] ?? {};
  const own = value === null ? rest : { ...rest, [choice]: value };
  const { [form]: __, ...others } = kept;
  return Object.keys(own).length ? { ...others, [form]: own } : others;
}

export const deliverySteps: StepsOf<DeliveryCommand, DeliveryParts> = {
  leaveOut({ delivery }, { kind, ids, out }) {
    const before = delivery.leftOut[kind];
    const named = new Set(ids);
    const moved = [...named].filter((id) => before.includes(id) !== out);
    // In order, so that letting in and leaving out again comes to the same.
    const after = out ? [...before, ...moved].sort() : before.filter((id) => !named.has(id));
    if (after.length > MOST_LEFT_OUT)
      throw new Refusal(`At most ${MOST_LEFT_OUT} can be left out; let what is to go in again instead.`);
    const next = { delivery: { ...delivery, leftOut: { ...delivery.leftOut, [kind]: after } } };
    return [next, { type: 'leaveOut', kind, ids: moved, out: !out }];
  },

  chooseOfForm({ delivery }, { form, choice, value }) {
    const choices = chosen(
      delivery.choices,
      form,
      choice,
      value === choicesIn(form)[choice]?.usual ? null : value,
    );
    const before = delivery.choices[form]?.[choice] ?? null;
    return [{ delivery: { ...delivery, choices } }, { type: 'chooseOfForm', form, choice, value: before }];
  },

  setPack({ delivery }, { forms }) {
    return [{ delivery: { ...delivery, pack: forms } }, { type: 'setPack', forms: delivery.pack }];
  },

  setCopied({ delivery }, { as }) {
    return [{ delivery: { ...delivery, copied: as } }, { type: 'setCopied', as: delivery.copied }];
  },
};

function nameOf(doc: DeliveryParts, kind: Leavable, id: string): string {
  if (kind === 'role') return roleNameIn(doc.roles, id);
  return nameIn({ family: doc.families, theme: doc.themes, gradient: doc.gradients }[kind], id);
}

export const deliveryWords: WordsOf<DeliveryCommand, DeliveryParts> = {
  leaveOut: (doc, { kind, ids, out }) => {
    const what = ids.length === 1 ? nameOf(doc, kind, ids[0]!) : `${ids.length} things`;
    return out ? `leave ${what} out of hand-overs` : `hand ${what} over again`;
  },
  chooseOfForm: (_, { form, choice }) =>
    `change "${choicesIn(form)[choice]?.name ?? choice}" of what is delivered as ${form}`,
  setPack: () => 'change what the package holds',
  setCopied: () => 'copy values in another notation',
};
