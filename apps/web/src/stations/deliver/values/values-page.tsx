import { COPIED_OPTIONS } from '../../../kinds/values/copied-options.ts';
import { edit } from '../../../store/editing.ts';
import { useDocumentPart } from '../../../store/selectors.ts';
import { useAppDispatch } from '../../../store/store.ts';
import { Choice } from '../../../ui/choice.tsx';
import { DeliverHeader } from '../deliver-header.tsx';
import { Values } from './values.tsx';

/** Every value to copy, in the notation that was chosen once. */
export function ValuesPage() {
  const { copied } = useDocumentPart('delivery');
  const dispatch = useAppDispatch();
  return (
    <div className="flex h-[calc(100dvh-146px)] min-h-96 flex-col">
      <DeliverHeader view="values" lead="Every value of the current theme. Press one to copy it.">
        <Choice
          label="Copied as"
          value={copied}
          options={COPIED_OPTIONS}
          onChange={(as) => dispatch(edit({ type: 'setCopied', as }))}
          beside
          className="w-60"
        />
      </DeliverHeader>
      <div className="flex min-h-0 flex-1 flex-col px-5 pb-3">
        <Values as={copied} />
      </div>
    </div>
  );
}
