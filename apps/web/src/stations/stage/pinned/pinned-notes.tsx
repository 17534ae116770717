import type { ResolvedTheme } from '@mint-lamp/core/system/resolve';
import NotesOn from '../../../notes/notes-on.tsx';
import { countOf, NotePin, saidOfPin } from '../../../scene/note-pin.tsx';
import { useNotedParts } from '../../../scene/use-noted-parts.ts';
import { useCast } from '../../../scene/use-scene.ts';
import { useProjectDocument, useSystem } from '../../../store/selectors.ts';
import { Popover } from '../../../ui/popover.tsx';
import { useResting } from '../../../ui/use-resting.ts';

interface PinnedNotesProps {
  page: HTMLElement;
  theme: ResolvedTheme;
  /** Says when the page was laid out otherwise. */
  layout: string;
}

/** The open notes on whatever paints a scene, each pinned to where it is seen there. */
export default function PinnedNotes({ page, theme, layout }: PinnedNotesProps) {
  const { notes } = useProjectDocument();
  const uses = useCast();
  const system = useResting(useSystem());
  const own = system.themes.get(theme.theme.id) ?? theme;
  const noted = useNotedParts({ page, uses, theme: own, system, notes, layout });
  return noted.map((one) => (
    <Popover
      key={one.things.map(({ on }) => JSON.stringify(on)).join()}
      label={saidOfPin(one)}
      trigger={
        <NotePin
          count={countOf(one)}
          aria-label={saidOfPin(one)}
          title={saidOfPin(one)}
          className="absolute z-20"
          style={one.at}
        />
      }
    >
      <div className="flex w-80 flex-col gap-3">
        {one.things.map(({ on, name }) => (
          <section key={JSON.stringify(on)} aria-label={name}>
            <h3 className="mb-1 font-semibold break-words">{name}</h3>
            <NotesOn on={on} />
          </section>
        ))}
      </div>
    </Popover>
  ));
}
