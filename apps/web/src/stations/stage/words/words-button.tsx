import { Button } from '../../../ui/button.tsx';
import { part } from '../../../ui/part.tsx';
import { Popover } from '../../../ui/popover.tsx';

const WordsPanel = part(() => import('./words-panel.tsx'), <div className="h-80 w-[420px]" />);

/** What scenes say, to be put in the project's own words. */
export const WordsButton = () => (
  <Popover label="What scenes say" align="end" trigger={<Button>Words …</Button>}>
    <WordsPanel />
  </Popover>
);
