import type { Link } from '@mint-lamp/core/system/links/link';
import { useEffect, useState } from 'react';
import { useNavigate, useParams } from 'react-router';
import { addressOf } from '../../addresses.ts';
import { useEditing } from '../../store/editing.ts';
import { selected } from '../../store/interface-slice.ts';
import { selectProject, useProjectDocument, useTheme } from '../../store/selectors.ts';
import { useAppDispatch, useAppSelector } from '../../store/store.ts';
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

/** Gradients of the system, one of them on the bench. */
export default function Fade() {
  const { gradient: gradientId, stop } = useParams();
  const doc = useProjectDocument();
  const theme = useTheme();
  const dispatch = useAppDispatch();
  const navigate = useNavigate();
  const id = useAppSelector((state) => selectProject(state).id);
  const { edit } = useEditing();
  const [pasting, setPasting] = useState(false);
  const open = gradientId ?? doc.gradients[0]?.id;
  const resolved = open ? theme.gradients.get(open) : undefined;
  useEffect(() => {
    if (open && stop) dispatch(selected({ kind: 'stop', gradient: open, stop }));
  }, [dispatch, open, stop]);
  const add = () => {
    const gradient = newGradient(doc);
    if (edit({ type: 'addGradient', gradient })) navigate(addressOf(id, 'fade', gradient.id));
  };
  const addFrom = (name: string, links: readonly Link[]) => {
    const gradient = gradientThrough(doc, name, links);
    if (edit({ type: 'addGradient', gradient })) navigate(addressOf(id, 'fade', gradient.id));
  };
  return (
    <div className="flex min-h-full flex-col">
      <PageHeader
        title="Fade"
        lead="Gradients whose stops are linked: change a base or the theme and they follow."
      >
        <Popover
          label="Paste a gradient"
          align="end"
          open={pasting}
          onOpenChange={setPasting}
          trigger={<Button>Paste CSS or SVG …</Button>}
        >
          <PasteGradient onDone={() => setPasting(false)} />
        </Popover>
        <NewFrom onMake={addFrom} />
        <Button look="primary" onClick={add}>
          New gradient
        </Button>
      </PageHeader>
      {doc.gradients.length ? (
        <>
          <GradientList open={open ?? null} />
          {resolved ? (
            <FadeBench key={resolved.gradient.id} resolved={resolved} openStop={stop ?? null} />
          ) : (
            <EmptyState title="This gradient does not exist any more">Choose another above.</EmptyState>
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
