import type { Note, Said } from '@mint-lamp/core/document/notes/note';
import { format } from 'date-fns';
import { useState } from 'react';
import { toast } from 'sonner';
import { answerOnShare } from '../../fetching/shared-requests.ts';
import { Button } from '../../ui/button.tsx';
import type { Conversation } from './conversation.ts';
import { WordsForm } from './words-form.tsx';

const signature = ({ by, at }: Said) => `${by ? `${by}, ` : ''}${format(new Date(at), 'd MMM yyyy, HH:mm')}`;

interface ThreadProps {
  token: string;
  note: Note;
  /** What it is on, in words. */
  on: string;
  conversation: Conversation;
}

/** A note with what was said to it, and the way to say more. */
export function Thread({ token, note, on, conversation }: ThreadProps) {
  const [answering, setAnswering] = useState(false);
  const send = async (words: { by: string; text: string }) => {
    conversation.addAnswer(note.id, await answerOnShare(token, note.id, words));
    toast('Your answer is sent');
    setAnswering(false);
  };
  return (
    <>
      <p className="text-sm text-quiet">
        On {on}
        {note.settled && ' · resolved'}
      </p>
      <p className="text-base break-words whitespace-pre-line">{note.text}</p>
      <p className="text-sm text-quiet">{signature(note)}</p>
      {note.answers.length > 0 && (
        <ul aria-label="Answers" className="mt-2 grid gap-2 border-l-2 border-hair pl-3">
          {note.answers.map((answer) => (
            <li key={answer.id}>
              <p className="text-base break-words whitespace-pre-line">{answer.text}</p>
              <p className="text-sm text-quiet">{signature(answer)}</p>
            </li>
          ))}
        </ul>
      )}
      <div className="mt-2">
        {answering ? (
          <WordsForm send="Send the answer" onSend={send} />
        ) : (
          <Button className="h-10" onClick={() => setAnswering(true)}>
            Answer
          </Button>
        )}
      </div>
    </>
  );
}
