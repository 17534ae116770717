import { useNavigate } from 'react-router';
import { addressOf } from '../addresses.ts';
import { useNewFamily } from '../stations/grow/use-new-family.ts';
import { useEditing } from '../store/editing.ts';
import { selectProject, useProjectDocument } from '../store/selectors.ts';
import { useAppSelector } from '../store/store.ts';
import { Button } from '../ui/button.tsx';
import { TextField } from '../ui/text-field.tsx';

/** What can be done with the selected thing besides colouring it. */
export function ThingActions() {
  const selection = useAppSelector((state) => state.interface.selection);
  const id = useAppSelector((state) => selectProject(state).id);
  const doc = useProjectDocument();
  const { edit } = useEditing();
  const navigate = useNavigate();
  const newFamily = useNewFamily();
  if (selection?.kind === 'shade') {
    const family = doc.families.find((f) => f.id === selection.family);
    if (family?.handSet[selection.shade] === undefined) return null;
    return (
      <Button
        onClick={() => edit({ type: 'setShade', family: family.id, shade: selection.shade, color: null })}
      >
        Return to its growth
      </Button>
    );
  }
  if (selection?.kind !== 'swatch') return null;
  const swatch = doc.tray.find((item) => item.id === selection.swatch);
  if (!swatch) return null;
  return (
    <section aria-label="Tray colour" className="flex flex-col gap-2 border-t border-hair pt-2">
      <TextField
        label="Name"
        value={swatch.name}
        onCommit={(name) => {
          if (!name) return 'Give it a name';
          return edit({ type: 'renameSwatch', swatch: swatch.id, name }) ? null : 'Choose a shorter name';
        }}
      />
      <div className="flex flex-wrap gap-1.5">
        <Button
          look="primary"
          onClick={() => {
            const family = newFamily(swatch.color, swatch.name);
            if (family) navigate(addressOf(id, 'grow', family));
          }}
        >
          Grow a family
        </Button>
        <Button look="danger" onClick={() => edit({ type: 'removeSwatch', swatch: swatch.id })}>
          Take out
        </Button>
      </div>
    </section>
  );
}
