import { MOST_WORDS } from '@mint-lamp/core/document/limits';
import { wordsOf } from '@mint-lamp/core/document/project/sample-words';
import { useEditing } from '../../../store/editing.ts';
import { useDocumentPart, useSampleWords } from '../../../store/selectors.ts';
import { Button } from '../../../ui/button.tsx';
import { Popover } from '../../../ui/popover.tsx';
import { TextField } from '../../../ui/text-field.tsx';

/** What samples of this project say, here and on the sheet: its own words. */
export function WordsSettings() {
  const { edit } = useEditing();
  const words = useDocumentPart('words');
  const name = useDocumentPart('name');
  const shown = useSampleWords();
  const usual = wordsOf({ name, words: { text: null, action: null } });
  const field = (label: string, key: 'text' | 'action') => (
    <TextField
      label={label}
      value={shown[key]}
      onCommit={(text) => {
        if (text.length > MOST_WORDS) return `At most ${MOST_WORDS} characters`;
        edit({ type: 'setWords', words: { ...words, [key]: text && text !== usual[key] ? text : null } });
        return null;
      }}
    />
  );
  return (
    <Popover label="Words of samples" align="end" trigger={<Button look="quiet">Words …</Button>}>
      <div className="flex w-80 flex-col gap-2">
        {field('Text', 'text')}
        {field('On what is pressed', 'action')}
        <p className="text-sm text-quiet">
          All samples of the project say this, here and on the sheet; a pair can have words of its own.
        </p>
      </div>
    </Popover>
  );
}
