import { useEditing } from '../../store/editing.ts';
import { useDocumentPart } from '../../store/selectors.ts';
import { Button } from '../../ui/button.tsx';
import type { SelectionOf } from '../lit-color.ts';

/** What can be done with a selected shade besides colouring it. */
export function ShadeActions({ selection }: { selection: SelectionOf<'shade'> }) {
  const families = useDocumentPart('families');
  const { edit } = useEditing();
  const { shade } = selection;
  const family = families.find((f) => f.id === selection.family);
  if (family?.handSet[shade] === undefined) return null;
  return (
    <Button onClick={() => edit({ type: 'setShade', family: family.id, shade, color: null })}>
      Reset to growth
    </Button>
  );
}
