import { MOST_PROPOSAL_WORDS, type SharedView } from '@mint-lamp/core/wire/shares';
import { type FormEvent, useState } from 'react';
import { proposeByShare } from '../../fetching/shared-requests.ts';
import { author, rememberAuthor } from '../../notes/author.ts';
import { Button } from '../../ui/button.tsx';
import { FormField } from '../../ui/form-field.tsx';
import { GuestSection } from '../guest-frame.tsx';
import type { Trial } from './use-trial.ts';

/** Sends what was tried to whoever made the share, with a few words; the copy stays as it is. */
export function SendBack({ token, view, trial }: { token: string; view: SharedView; trial: Trial }) {
  const [by, setBy] = useState(author);
  const [words, setWords] = useState('');
  const [fault, setFault] = useState<{ where: 'by' | 'all'; says: string } | null>(null);
  const [sent, setSent] = useState<string | null>(null);
  const [busy, setBusy] = useState(false);
  const fitting = trial.commands.filter((command) => !trial.refused.some((one) => one.command === command));
  const content = JSON.stringify(fitting);
  const send = async (event: FormEvent) => {
    event.preventDefault();
    if (!by.trim()) return setFault({ where: 'by', says: 'Type your name, so that they know whose it is.' });
    setBusy(true);
    setFault(null);
    try {
      await proposeByShare(token, { by, words, revision: view.revision, commands: fitting });
      rememberAuthor(by.trim());
      setSent(content);
    } catch (error) {
      setFault({ where: 'all', says: (error as Error).message });
    }
    setBusy(false);
  };
  return (
    <GuestSection title="Send it back">
      {fitting.length === 0 ? (
        <p className="text-base text-quiet">Change something first; then it can be sent from here.</p>
      ) : sent === content ? (
        <p role="status" className="text-base">
          It is sent. Whoever made this sees your colours beside theirs. You can go on trying, and send again.
        </p>
      ) : (
        <form noValidate onSubmit={send} className="flex flex-col gap-3">
          <label className="block">
            <span className="mb-0.5 block text-sm text-quiet">A few words</span>
            <textarea
              rows={3}
              maxLength={MOST_PROPOSAL_WORDS}
              value={words}
              onChange={(event) => setWords(event.target.value)}
              className="w-full rounded-md border border-control bg-raised p-2.5"
            />
          </label>
          <FormField
            label="Your name"
            autoComplete="name"
            value={by}
            fault={fault?.where === 'by' ? fault.says : undefined}
            onChange={(event) => setBy(event.target.value)}
          />
          {fault?.where === 'all' && (
            <p role="alert" className="text-fail">
              {fault.says}
            </p>
          )}
          <Button type="submit" look="primary" className="h-11" disabled={busy}>
            {fitting.length === 1 ? 'Send this change' : `Send these ${fitting.length} changes`}
          </Button>
        </form>
      )}
    </GuestSection>
  );
}
