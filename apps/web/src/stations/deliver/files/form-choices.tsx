import {
  type ChosenValue,
  choicesIn,
  type Choice as FormChoice,
  type FormId,
  MOST_PREFIX,
  PREFIX_PATTERN,
} from '@mint-lamp/core/document/delivery/forms';
import { memo } from 'react';
import { edit } from '../../../store/editing.ts';
import { useDocumentPart } from '../../../store/selectors.ts';
import { useAppDispatch } from '../../../store/store.ts';
import { Choice } from '../../../ui/choice.tsx';
import { TextField } from '../../../ui/text-field.tsx';

/** Choices that mean something only while another has one of some values. */
const ONLY_WITH: Readonly<Record<string, readonly [choice: string, values: readonly string[]]>> = {
  other: ['themes', ['scheme', 'both', 'function']],
};

/** What can be chosen of a form; kept in the project, each with undo. */
export const FormChoices = memo(function FormChoices({ form }: { form: FormId }) {
  const kept = useDocumentPart('delivery').choices[form];
  const dispatch = useAppDispatch();
  const choices = Object.entries(choicesIn(form));
  const chosenOf = (key: string) => kept?.[key] ?? choicesIn(form)[key]!.usual;
  const isAsked = (key: string) => {
    const only = ONLY_WITH[key];
    return !only || !choicesIn(form)[only[0]] || only[1].includes(String(chosenOf(only[0])));
  };
  return (
    <section aria-label="Options" data-help="options" className="flex flex-col gap-2">
      <h2 className="font-title font-semibold">Options</h2>
      {!choices.length && <p className="text-quiet">This format has no options.</p>}
      {choices
        .filter(([key]) => isAsked(key))
        .map(([key, choice]) => (
          <OneChoice
            key={key}
            choice={choice}
            value={chosenOf(key)}
            onChange={(value) => dispatch(edit({ type: 'chooseOfForm', form, choice: key, value }))}
          />
        ))}
    </section>
  );
});

interface OneChoiceProps {
  choice: FormChoice;
  value: ChosenValue;
  onChange: (value: ChosenValue) => void;
}

function OneChoice({ choice, value, onChange }: OneChoiceProps) {
  const themes = useDocumentPart('themes');
  switch (choice.as) {
    case 'one':
      return (
        <Choice
          label={choice.name}
          value={String(value)}
          options={Object.entries(choice.options).map(([id, label]) => ({ value: id, label }))}
          onChange={onChange}
        />
      );
    case 'yes':
      return (
        <label className="flex items-start gap-2 py-0.5">
          <input
            type="checkbox"
            className="mt-1"
            checked={value === true}
            onChange={(event) => onChange(event.target.checked)}
          />
          {choice.name}
        </label>
      );
    case 'theme':
      return (
        <Choice
          label={choice.name}
          value={themes.some(({ id }) => id === value) ? String(value) : ''}
          options={[
            { value: '', label: choice.none },
            ...themes.map(({ id, name }) => ({ value: id, label: name })),
          ]}
          onChange={(next) => onChange(next || null)}
        />
      );
    case 'prefix':
      return (
        <TextField
          label={choice.name}
          mono
          value={String(value)}
          onCommit={(text) => {
            const wanted = text.trim().replace(/^-+|-+$/g, '');
            if (wanted.length > MOST_PREFIX || !PREFIX_PATTERN.test(wanted))
              return `Up to ${MOST_PREFIX} small letters and digits, hyphens between them; as in "acme".`;
            if (wanted !== value) onChange(wanted);
            return null;
          }}
        />
      );
  }
}
