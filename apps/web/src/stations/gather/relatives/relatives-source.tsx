import { parseColor } from '@mint-lamp/core/color/parse';
import { canonical } from '@mint-lamp/core/color/write';
import type { ProjectDocument } from '@mint-lamp/core/document/document';
import { rowOf } from '@mint-lamp/core/document/relatives/relatives';
import { RELATIONS, type Relation as RelationName } from '@mint-lamp/core/harmony/relations';
import { useEditing } from '../../../store/editing.ts';
import { inTurns } from '../../../store/in-turns.tsx';
import { selectDocument, useDocumentPart } from '../../../store/selectors.ts';
import { useAppSelector } from '../../../store/store.ts';
import { Button } from '../../../ui/button.tsx';
import { EmptyState } from '../../../ui/notice.tsx';
import { GatherHeader } from '../gather-header.tsx';
import { RelationCard } from './relation-card.tsx';
import { SourceBar } from './source-bar.tsx';
import { SourceChoice } from './source-choice.tsx';

/**
 * The colour that all are relatives of: while none has been chosen, the base of the first family, else the first colour of
 * the tray; null where there is neither.
 */
function sourceOf({ relatives, families, tray }: ProjectDocument): string | null {
  if (relatives.source) return relatives.source;
  const color = families.find(({ follows }) => !follows)?.base ?? tray[0]?.color;
  const parsed = color === undefined ? null : parseColor(color);
  return parsed?.ok ? canonical({ ...parsed.color, alpha: 1 }) : null;
}
const useSource = () => useAppSelector((state) => sourceOf(selectDocument(state)));

const Source = inTurns(
  function Source() {
    const source = useSource();
    return source && <SourceBar source={source} />;
  },
  { box: '' },
);

const Relation = inTurns(function Relation({ relation }: { relation: RelationName }) {
  const relatives = useDocumentPart('relatives');
  const source = useSource();
  return source && <RelationCard source={source} row={rowOf(relatives, relation)} />;
});

/** Every relation of one colour, all beside each other. @public Found by its file. */
export default function RelativesSource() {
  const { edit } = useEditing();
  // Whether there is one, and not which: each relation is drawn in its own turn while it is dragged.
  const isThere = useAppSelector((state) => sourceOf(selectDocument(state)) !== null);
  const choose = (color: string) => {
    const parsed = parseColor(color);
    if (parsed.ok) edit({ type: 'setRelativesSource', color: canonical({ ...parsed.color, alpha: 1 }) });
  };
  return (
    <div className="flex min-h-full flex-col">
      <GatherHeader
        source="relatives"
        lead={isThere ? <Source /> : 'Everything that goes with one colour, side by side.'}
      >
        <SourceChoice onChoose={choose} />
      </GatherHeader>
      {isThere ? (
        <ul
          aria-label="Relations"
          className="grid grid-cols-[repeat(auto-fill,minmax(max(min(400px,100%),23%),1fr))] gap-x-8 px-5 pb-5"
        >
          {RELATIONS.map((relation) => (
            <Relation key={relation} relation={relation} />
          ))}
        </ul>
      ) : (
        <EmptyState title="Which colour?">
          Pick one of the project’s colours or type one. Or select any colour and press “See its relatives” in
          the lamp.
          <p className="mt-3">
            <Button onClick={() => choose('#e2552b')}>Try an example</Button>
          </p>
        </EmptyState>
      )}
    </div>
  );
}
