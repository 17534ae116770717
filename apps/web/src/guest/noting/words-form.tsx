import { MOST_NOTE_TEXT } from '@mint-lamp/core/document/notes/note';
import { type FormEvent, useState } from 'react';
import { author, rememberAuthor } from '../../notes/author.ts';
import { Button } from '../../ui/button.tsx';
import { FormField } from '../../ui/form-field.tsx';

interface WordsFormProps {
  /** What the button says. */
  send: string;
  /** Rejects with what is wrong; what was typed stays. */
  onSend: (words: { readonly by: string; readonly text: string }) => Promise<void>;
}

/** A few words, by name. */
export function WordsForm({ send, onSend }: WordsFormProps) {
  const [by, setBy] = useState(author);
  const [text, setText] = useState('');
  const [fault, setFault] = useState<{ where: 'by' | 'text' | 'all'; says: string } | null>(null);
  const [busy, setBusy] = useState(false);
  const submit = async (event: FormEvent) => {
    event.preventDefault();
    if (!text.trim()) return setFault({ where: 'text', says: 'Type a few words.' });
    if (!by.trim()) return setFault({ where: 'by', says: 'Type your name, so that they know who wrote it.' });
    setBusy(true);
    setFault(null);
    try {
      await onSend({ by, text });
      rememberAuthor(by.trim());
    } catch (error) {
      setFault({ where: 'all', says: (error as Error).message });
      setBusy(false);
    }
  };
  const faultAt = (where: 'by' | 'text') => (fault?.where === where ? fault.says : undefined);
  return (
    <form noValidate onSubmit={submit} className="flex flex-col gap-3">
      <label className="block">
        <span className="mb-0.5 block text-sm text-quiet">Your words</span>
        <textarea
          // biome-ignore lint/a11y/noAutofocus: it was asked for by a press just now
          autoFocus
          rows={4}
          maxLength={MOST_NOTE_TEXT}
          value={text}
          aria-invalid={faultAt('text') !== undefined}
          onChange={(event) => setText(event.target.value)}
          className="w-full rounded-md border border-control bg-raised p-2.5 aria-invalid:border-fail!"
        />
      </label>
      {faultAt('text') && (
        <p role="alert" className="-mt-2 text-sm text-fail">
          {faultAt('text')}
        </p>
      )}
      <FormField
        label="Your name"
        autoComplete="name"
        value={by}
        fault={faultAt('by')}
        onChange={(event) => setBy(event.target.value)}
      />
      {fault?.where === 'all' && (
        <p role="alert" className="text-fail">
          {fault.says}
        </p>
      )}
      <Button type="submit" look="primary" className="h-11" disabled={busy}>
        {send}
      </Button>
    </form>
  );
}
