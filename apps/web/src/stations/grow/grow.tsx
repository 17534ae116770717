import { memo, useEffect, useState } from 'react';
import { useNavigate, useParams } from 'react-router';
import { addressOf } from '../../addresses.ts';
import { useColorDrop } from '../../dragging/color-dragging.tsx';
import { useNewFamily } from '../../kinds/families/use-new-family.ts';
import { selected } from '../../store/interface-slice.ts';
import { selectProject, useProjectDocument, useSystem } from '../../store/selectors.ts';
import { useAppDispatch, useAppSelector } from '../../store/store.ts';
import { Button } from '../../ui/button.tsx';
import { ColorChip } from '../../ui/color-chip.tsx';
import { EmptyState } from '../../ui/notice.tsx';
import { PageHeader } from '../../ui/page-header.tsx';
import { Popover } from '../../ui/popover.tsx';
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
  const { families } = useSystem();
  const { grounds, choose } = useRailGrounds();
  const [trying, setTrying] = useState(false);
  const open = familyId ? families.get(familyId) : undefined;
  useEffect(() => {
    if (familyId && shade) dispatch(selected({ kind: 'shade', family: familyId, shade }));
    else if (familyId) dispatch(selected({ kind: 'base', family: familyId }));
  }, [dispatch, familyId, shade]);
  return (
    <div className="flex min-h-full flex-col">
      <PageHeader
        title="Grow"
        lead="Each family is a rail: dark at the left, light at the right. Drag a base and its shades follow."
      >
        <GroundChoice grounds={grounds} onChoose={choose} />
        <NewFamily />
      </PageHeader>
      {families.size ? (
        <>
          <NeedsStrip />
          <Beforehand value={trying}>
            <Rails grounds={grounds} open={open?.family.id ?? null} />
          </Beforehand>
          {open ? (
            <FamilyDetail key={open.family.id} resolved={open} ground={grounds[0]!.color} onTry={setTrying} />
          ) : (
            <p className="px-5 py-3 text-quiet">
              Select a family by its name to see its shades side by side and to tune how it grows.
            </p>
          )}
        </>
      ) : (
        <EmptyState title="No family yet">
          Grow the first from a colour in the tray: “New family” above, or drag a colour here. The tray is
          filled at Gather.
        </EmptyState>
      )}
    </div>
  );
}

/** Makes a family of a tray colour: a list to choose from, and a place to drop one. */
const NewFamily = memo(function NewFamily() {
  const { tray } = useProjectDocument();
  const id = useAppSelector((state) => selectProject(state).id);
  const navigate = useNavigate();
  const newFamily = useNewFamily();
  const make = (color: string, name: string) => {
    const family = newFamily(color, name);
    if (family) navigate(addressOf(id, 'grow', family));
  };
  const drop = useColorDrop('new family', make);
  return (
    <div ref={drop.setNodeRef} className={drop.isOver ? 'rounded-md outline-2 outline-ring' : ''}>
      <Popover label="New family" align="end" trigger={<Button look="primary">New family …</Button>}>
        <p className="mb-2 max-w-72 text-quiet">
          {tray.length
            ? 'Which colour is its base? You can also drag one onto the button.'
            : 'The tray is empty: collect a colour first, at Gather or with “Add” at the tray.'}
        </p>
        <ul className="max-h-72 w-72 overflow-auto">
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
