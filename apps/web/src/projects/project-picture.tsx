import type { ProjectPreview } from '@mint-lamp/core/system/preview';
import { pictureAddress } from '../fetching/send-picture.ts';
import { SceneRoot } from '../scene/scene-root.tsx';
import { sceneStyle } from '../scene/scene-style.ts';
import { sceneText } from '../scene/scene-text.ts';
import { Landing } from '../scene/scenes/landing.tsx';
import { Small } from '../scene/small.tsx';

interface ProjectPictureProps {
  id: string;
  name: string;
  preview: ProjectPreview;
}

/** px of a page, small; the more themes the smaller. */
const sizeFor = (themes: number) => (themes > 2 ? { width: 108, height: 84 } : { width: 184, height: 120 });

/** A page in each theme, families as thin rails of their shades, and what lies in the tray. */
export function ProjectPicture({ id, name, preview }: ProjectPictureProps) {
  const { families, themes, tray, words, picture } = preview;
  const painted = themes.filter(({ paints }) => Object.keys(paints).length > 0);
  if (!families.length && !tray.length && !painted.length)
    return <p className="flex-1 text-quiet">No colours yet</p>;
  const hero = picture && `url("${pictureAddress(id, picture, true)}") center / cover`;
  const text = sceneText(name, words.action, words);
  return (
    <div aria-hidden className="flex min-w-0 flex-1 flex-wrap items-center gap-x-6 gap-y-2 max-md:basis-full">
      <div className="flex min-w-40 flex-1 flex-col gap-1">
        {families.map((family) => (
          <div key={family.name} className="flex h-2.5 gap-px overflow-hidden rounded-[3px]">
            {[...family.shades].reverse().map((shade, i) => (
              // biome-ignore lint/suspicious/noArrayIndexKey: shades are a fixed row
              <span key={i} className="flex-1" style={{ background: shade }} />
            ))}
          </div>
        ))}
        {tray.length > 0 && (
          <div className="flex items-center gap-0.5 pt-1 text-sm text-quiet">
            <span className="pr-1">Tray</span>
            {tray.map((color, i) => (
              // biome-ignore lint/suspicious/noArrayIndexKey: the tray is a fixed row
              <span key={i} className="checker size-3.5 overflow-hidden rounded-[3px] border border-hair">
                <span className="block size-full" style={{ background: color }} />
              </span>
            ))}
          </div>
        )}
      </div>
      <div className="flex flex-wrap gap-2">
        {painted.map((theme) => (
          <div key={theme.name}>
            <Small {...sizeFor(painted.length)} page={900}>
              <SceneRoot
                Draw={Landing}
                text={text}
                style={sceneStyle(hero ? { ...theme.paints, hero } : theme.paints)}
                states={false}
              />
            </Small>
            <p className="truncate text-sm text-quiet" style={{ width: sizeFor(painted.length).width }}>
              {theme.name}
            </p>
          </div>
        ))}
      </div>
    </div>
  );
}
