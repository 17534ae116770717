import { Action, Menu } from '../action.tsx';
import { Part } from '../part.tsx';
import type { SceneText } from '../scene-text.ts';

/** The bar at the top of pages: whose they are, where else to go, what to do. */
export const TopBar = ({ text }: { text: SceneText }) => (
  <Part
    ground="raised"
    line="line"
    className="flex flex-wrap items-center gap-x-6 gap-y-2 border-b px-7 py-3"
  >
    <Part text="text" className="text-[19px] font-bold">
      {text.name}
    </Part>
    <div className="ml-auto" />
    <Menu items={[text.menu1, text.menu2, text.menu3]} />
    <Action>{text.action}</Action>
  </Part>
);
