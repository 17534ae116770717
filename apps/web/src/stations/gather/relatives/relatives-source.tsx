import { parseColor } from '@mint-lamp/core/color/parse';
import { canonical } from '@mint-lamp/core/color/write';
import { rowOf } from '@mint-lamp/core/document/relatives/relatives';
import { RELATIONS } from '@mint-lamp/core/harmony/relations';
import { hueRibbon } from '@mint-lamp/core/harmony/ribbon';
import { sourceOklch } from '@mint-lamp/core/system/relatives';
import { useMemo } from 'react';
import { useEditing } from '../../../store/editing.ts';
import { useDocumentPart } from '../../../store/selectors.ts';
import { Button } from '../../../ui/button.tsx';
import { EmptyState } from '../../../ui/notice.tsx';
import { GatherHeader } from '../gather-header.tsx';
import { RelationCard } from './relation-card.tsx';
import { SourceBar } from './source-bar.tsx';
import { SourceChoice } from './source-choice.tsx';

/** What there is to begin with while none has been chosen: the base of the first family, else the first colour of the tray. */
function useUsualSource(): string | null {
  const families = useDocumentPart('families');
  const [swatch] = useDocumentPart('tray');
  const color = families.find(({ follows }) => !follows)?.base ?? swatch?.color;
  const parsed = color === undefined ? null : parseColor(color);
  return parsed?.ok ? canonical({ ...parsed.color, alpha: 1 }) : null;
}

/** Every relation of one colour, all beside each other. @public Found by its file. */
export default function RelativesSource() {
  const relatives = useDocumentPart('relatives');
  const { edit } = useEditing();
  const usual = useUsualSource();
  const source = relatives.source ?? usual;
  const ribbon = useMemo(() => {
    if (!source) return [];
    const [l, chroma] = sourceOklch(source);
    return hueRibbon(l, chroma);
  }, [source]);
  const choose = (color: string) => {
    const parsed = parseColor(color);
    if (parsed.ok) edit({ type: 'setRelativesSource', color: canonical({ ...parsed.color, alpha: 1 }) });
  };
  return (
    <div className="flex min-h-full flex-col">
      <GatherHeader
        source="relatives"
        lead={source ? <SourceBar source={source} /> : 'Everything that goes with one colour, side by side.'}
      >
        <SourceChoice onChoose={choose} />
      </GatherHeader>
      {source ? (
        <ul
          aria-label="Relations"
          className="grid grid-cols-[repeat(auto-fill,minmax(max(min(400px,100%),23%),1fr))] gap-x-8 px-5 pb-5"
        >
          {RELATIONS.map((relation) => (
            <RelationCard key={relation} source={source} row={rowOf(relatives, relation)} ribbon={ribbon} />
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
