import { duplicated } from '@mint-lamp/core/edits/families/family-edits';
import { memo } from 'react';
import { useStore } from 'react-redux';
import { useNavigate } from 'react-router';
import { addressOf } from '../../../addresses.ts';
import { newId, useEditing } from '../../../store/editing.ts';
import { selectDocument, useProjectId } from '../../../store/selectors.ts';
import type { AppStore } from '../../../store/store.ts';
import { Button } from '../../../ui/button.tsx';
import { RemoveFamily } from './remove-family.tsx';
import { SplitFamily } from './split-family.tsx';

/** What can be done with a family as a whole. */
export const FamilyTools = memo(function FamilyTools({ family }: { family: string }) {
  const id = useProjectId();
  const store = useStore() as AppStore;
  const { edit } = useEditing();
  const navigate = useNavigate();
  const duplicate = () => {
    const document = selectDocument(store.getState());
    const made = newId();
    const own = document.families.find((one) => one.id === family)!;
    if (edit(duplicated(document, own, made))) navigate(addressOf(id, 'grow', made));
  };
  return (
    <div className="flex items-center">
      <Button look="quiet" onClick={duplicate} title="The same once more, below it">
        Duplicate
      </Button>
      <SplitFamily family={family} />
      <RemoveFamily family={family} />
    </div>
  );
});
