import type { Gradient } from '@mint-lamp/core/document/gradients/gradient';
import { memo, useEffect, useState } from 'react';
import { useStore } from 'react-redux';
import { useNavigate, useParams } from 'react-router';
import { addressOf } from '../../addresses.ts';
import { useEditing } from '../../store/editing.ts';
import { selected } from '../../store/interface-slice.ts';
import { selectDocument, selectTheme, useProjectId } from '../../store/selectors.ts';
import { type AppStore, useAppDispatch, useAppSelector } from '../../store/store.ts';
import { Button } from '../../ui/button.tsx';
import { EmptyState } from '../../ui/notice.tsx';
import { PageHeader } from '../../ui/page-header.tsx';
import { part } from '../../ui/part.tsx';
import { Popover } from '../../ui/popover.tsx';
import { FadeBench } from './fade-bench.tsx';
import { GradientList } from './gradient-list.tsx';
import { NewFrom } from './new-from.tsx';
import { gradientThrough, newGradient } from './new-gradient.ts';

const PasteGradient = part(() => import('./paste-gradient.tsx'), <div className="h-44 w-[440px]" />);

/** The ways to another gradient. They follow nothing, so that a drag does not draw them. */
const NewGradients = memo(function NewGradients() {
  const store = useStore() as AppStore;
  const id = useProjectId();
  const navigate = useNavigate();
  const { edit } = useEditing();
  const [pasting, setPasting] = useState(false);
  const add = (gradient: Gradient) => {
    if (edit({ type: 'addGradient', gradient })) navigate(addressOf(id, 'fade', gradient.id));
  };
  return (
    <>
      <Popover
        label="Paste a gradient"
        align="end"
        open={pasting}
        onOpenChange={setPasting}
        trigger={<Button>Paste CSS or SVG …</Button>}
      >
        <PasteGradient onDone={() => setPasting(false)} />
      </Popover>
      <NewFrom
        onMake={(name, links) => add(gradientThrough(selectDocument(store.getState()), name, links))}
      />
      <Button look="primary" onClick={() => add(newGradient(selectDocument(store.getState())))}>
        New gradient
      </Button>
    </>
  );
});

/** Gradients of the system, one of them on the bench. */
export default function Fade() {
  const { gradient: gradientId, stop } = useParams();
  // Of the gradients no more than which there are: nothing here is drawn again while a stop is dragged.
  const first = useAppSelector((state) => selectDocument(state).gradients[0]?.id);
  const dispatch = useAppDispatch();
  const open = gradientId ?? first;
  const isThere = useAppSelector(
    (state) => open !== undefined && selectTheme(state).gradients.get(open) !== undefined,
  );
  useEffect(() => {
    if (open && stop) dispatch(selected({ kind: 'stop', gradient: open, stop }));
  }, [dispatch, open, stop]);
  return (
    <div className="flex min-h-full flex-col *:isolate">
      <PageHeader
        title="Fade"
        help="fade"
        lead="Gradients whose stops are linked: change a base or the theme and they follow."
      >
        <NewGradients />
      </PageHeader>
      {first !== undefined ? (
        <>
          <GradientList open={open ?? null} />
          {isThere ? (
            <FadeBench key={open} gradient={open!} openStop={stop ?? null} />
          ) : (
            <EmptyState title="This gradient no longer exists">Choose another above.</EmptyState>
          )}
        </>
      ) : (
        <EmptyState title="No gradient yet">
          A new one begins with three stops, linked to the first family if there is one.
        </EmptyState>
      )}
    </div>
  );
}
