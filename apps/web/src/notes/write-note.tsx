import { useState } from 'react';
import { useEditing } from '../store/editing.ts';
import { selectSettledDocument } from '../store/selectors.ts';
import { useAppSelector } from '../store/store.ts';
import { Choice } from '../ui/choice.tsx';
import { notableThings } from './notable-things.ts';
import { WordsForm } from './words-form.tsx';

/** A new note on anything of the project, which is chosen first. */
export function WriteNote({ onSent, onDone }: { onSent: (note: string) => void; onDone: () => void }) {
  const { edit } = useEditing();
  const document = useAppSelector(selectSettledDocument);
  const [things] = useState(() => notableThings(document));
  const [chosen, setChosen] = useState('0');
  const { on } = things[Number(chosen)]!;
  return (
    <section
      aria-label="New note"
      className="mx-5 mb-4 grid max-w-3xl gap-2 rounded-md border border-control bg-raised p-3"
    >
      <Choice
        label="On"
        value={chosen}
        options={things.map(({ name, group }, i) => ({ value: String(i), label: name, group }))}
        onChange={setChosen}
        className="max-w-80"
      />
      <WordsForm
        label="Note"
        send="Save the note"
        onSend={(said) => {
          const made = edit({ type: 'addNote', note: { ...said, on, settled: false, answers: [] } });
          if (made) onSent(said.id);
          return made;
        }}
        onDone={onDone}
      />
    </section>
  );
}
