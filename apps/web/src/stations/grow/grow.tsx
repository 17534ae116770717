import type { Color } from '@mint-lamp/core/color/spaces';
import { canonical } from '@mint-lamp/core/color/write';
import { memo, useEffect, useState } from 'react';
import { useNavigate, useParams } from 'react-router';
import { addressOf } from '../../addresses.ts';
import { useColorDrop } from '../../dragging/color-dragging.tsx';
import { useNewFamily } from '../../kinds/families/use-new-family.ts';
import { selected } from '../../store/interface-slice.ts';
import { selectDocument, selectProject, useDocumentPart } from '../../store/selectors.ts';
import { useAppDispatch, useAppSelector } from '../../store/store.ts';
import { Button } from '../../ui/button.tsx';
import { ColorChip } from '../../ui/color-chip.tsx';
import { colorTyping, takeTyped } from '../../ui/color-text.ts';
import { EmptyState } from '../../ui/notice.tsx';
import { PageHeader } from '../../ui/page-header.tsx';
import { Popover } from '../../ui/popover.tsx';
import { TextField } from '../../ui/text-field.tsx';
import { FamilyDetail } from './family/family-detail.tsx';
import { GroundChoice } from './grounds/ground-choice.tsx';
import { useRailGrounds } from './grounds/use-rail-grounds.ts';
import { NeedsStrip } from './needs/needs-strip.tsx';
import { Rails } from './rails.tsx';
import { Beforehand } from './was-here.tsx';

/** Families as rails on the light axis, and the recipe of the one that is open. */
export default function Grow() {
  const { family: familyId, shade } = useParams();
  const dispatch = useAppDispatch();
  // Of the families no more than which there are: nothing here is drawn again while a base is dragged.
  const first = useAppSelector((state) => selectDocument(state).families[0]?.id);
  const { grounds, choose } = useRailGrounds();
  const [trying, setTrying] = useState(false);
  // Without one in the address the first is open: half of the station would be empty.
  const open = familyId ?? first;
  const isThere = useAppSelector((state) =>
    selectDocument(state).families.some((family) => family.id === open),
  );
  useEffect(() => {
    if (familyId && shade) dispatch(selected({ kind: 'shade', family: familyId, shade }));
    else if (familyId) dispatch(selected({ kind: 'base', family: familyId }));
  }, [dispatch, familyId, shade]);
  return (
    <div className="flex min-h-full flex-col *:isolate">
      <PageHeader
        title="Grow"
        help="grow"
        lead="Each family is a rail: dark at the left, light at the right. Drag a base and its shades follow."
      >
        <GroundChoice grounds={grounds} onChoose={choose} />
        <NewFamily />
      </PageHeader>
      {first !== undefined ? (
        <>
          <NeedsStrip />
          <Beforehand value={trying}>
            <Rails grounds={grounds} open={isThere ? open! : null} />
          </Beforehand>
          {isThere ? (
            <FamilyDetail key={open} family={open!} ground={grounds[0]!.color} onTry={setTrying} />
          ) : (
            <p className="px-5 py-3 text-quiet">This family no longer exists. Select another by its name.</p>
          )}
        </>
      ) : (
        <EmptyState title="No family yet">
          Grow the first one from a colour: “New family” above, or drag a colour here.
        </EmptyState>
      )}
    </div>
  );
}

/** Makes a family of a tray colour: a list to choose from, and a place to drop one. */
const NewFamily = memo(function NewFamily() {
  const tray = useDocumentPart('tray');
  const id = useAppSelector((state) => selectProject(state).id);
  const navigate = useNavigate();
  const newFamily = useNewFamily();
  const make = (color: string, name: string) => {
    const family = newFamily(color, name);
    if (family) navigate(addressOf(id, 'grow', family));
  };
  const makeTyped = async (typed: Color) => {
    // The names of colours are many, and wanted when one is typed.
    const { nameOf } = await import('@mint-lamp/core/names/names');
    make(canonical({ ...typed, alpha: 1 }), nameOf(typed));
  };
  const drop = useColorDrop('new family', make);
  return (
    <div ref={drop.setNodeRef} className={drop.isOver ? 'rounded-md outline-2 outline-ring' : ''}>
      <Popover label="New family" align="end" trigger={<Button look="primary">New family …</Button>}>
        <p className="mb-2 max-w-72 text-quiet">
          {tray.length
            ? 'Which colour is its base? Type one, take one of the tray, or drag one onto the button.'
            : 'Which colour is its base? Those that you collect at Gather are listed here too.'}
        </p>
        <TextField
          label="Any CSS colour"
          value=""
          mono
          {...colorTyping}
          onCommit={(text) =>
            takeTyped(text, (typed) => {
              void makeTyped(typed);
              return null;
            })
          }
          className="mb-2 w-72"
        />
        <ul aria-label="Tray colours" className="max-h-72 w-72 overflow-auto">
          {tray.map((swatch) => (
            <li key={swatch.id}>
              <button
                type="button"
                onClick={() => make(swatch.color, swatch.name)}
                className="flex w-full items-center gap-2 rounded-md px-1 py-1 text-left hover:bg-pressed"
              >
                <ColorChip css={swatch.color} className="h-6 w-10" />
                <span className="truncate">{swatch.name}</span>
              </button>
            </li>
          ))}
        </ul>
      </Popover>
    </div>
  );
});
