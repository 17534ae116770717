import {
  MOST_SCENE_WORDS,
  SCENE_WORD_IDS,
  SCENE_WORDS,
  type SceneWord,
} from '@mint-lamp/core/document/scenes/scene-words';
import { useEditing } from '../../../store/editing.ts';
import { useDocumentPart } from '../../../store/selectors.ts';
import { Button } from '../../../ui/button.tsx';
import { TextField } from '../../../ui/text-field.tsx';

/** Words of one place on scenes, by the beginnings of their keys. */
const GROUPS: readonly (readonly [title: string, begins: readonly string[]])[] = [
  ['At the top', ['menu', 'headline', 'lead', 'second']],
  ['What is on', ['listTitle', 'listNote', 'time', 'what', 'state', 'nextTitle', 'place', 'boardTitle']],
  ['Cards', ['card', 'price', 'offer']],
  ['Form', ['form', 'field', 'entry', 'choice', 'consent']],
  ['Notices', ['good', 'warning', 'danger', 'note']],
  ['Table', ['table', 'column']],
  ['Long read', ['read']],
  ['Pass', ['pass']],
];

const wordsOf = (begins: readonly string[]) =>
  SCENE_WORD_IDS.filter((word) => begins.some((begin) => word.replace(/\d$/, '').startsWith(begin)));

/** Every text of scenes: plain until the project has its own. An empty field gives the plain words back. */
export default function WordsPanel() {
  const { words } = useDocumentPart('scenes');
  const { edit, tryEdit } = useEditing();
  const own = Object.keys(words) as SceneWord[];
  return (
    <div className="w-[420px]">
      <div className="mb-2 flex items-start gap-3">
        <p className="flex-1 text-sm text-quiet">
          Above each field is the placeholder text. What you write replaces it in all scenes.
        </p>
        {own.length > 0 && (
          <Button
            small
            onClick={() =>
              edit({
                type: 'batch',
                label: 'put back the plain words of all scenes',
                commands: own.map((word) => ({ type: 'setSceneWord', word, text: null }) as const),
              })
            }
          >
            Reset all words
          </Button>
        )}
      </div>
      {GROUPS.map(([title, begins]) => (
        <fieldset key={title} className="mb-3 border-t border-hair pt-1">
          <legend className="pr-2 font-semibold">{title}</legend>
          <div className="grid grid-cols-2 gap-x-3 gap-y-1.5">
            {wordsOf(begins).map((word) => (
              <TextField
                key={word}
                label={
                  SCENE_WORDS[word].length > 32 ? `${SCENE_WORDS[word].slice(0, 30)} …` : SCENE_WORDS[word]
                }
                value={words[word] ?? ''}
                onCommit={(text) => {
                  const wanted = text.trim();
                  if (wanted.length > MOST_SCENE_WORDS)
                    return `At most ${MOST_SCENE_WORDS} characters; this has ${wanted.length}.`;
                  return tryEdit({ type: 'setSceneWord', word, text: wanted || null });
                }}
              />
            ))}
          </div>
        </fieldset>
      ))}
    </div>
  );
}
