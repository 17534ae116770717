import type { ProjectPreview } from '@mint-lamp/core/system/preview';

/** Families as thin rails of their shades, themes as beads of their roles' colours, and what lies in the tray. */
export function ProjectPicture({ preview }: { preview: ProjectPreview }) {
  const tray = preview.tray ?? [];
  if (!preview.families.length && !tray.length) return <p className="flex-1 text-quiet">No colours yet</p>;
  return (
    <div aria-hidden className="flex min-w-0 flex-1 items-center gap-6">
      <div className="flex flex-1 flex-col gap-1">
        {preview.families.map((family) => (
          <div key={family.name} className="flex h-2.5 gap-px overflow-hidden rounded-[3px]">
            {[...family.shades].reverse().map((shade, i) => (
              // biome-ignore lint/suspicious/noArrayIndexKey: shades are a fixed row
              <span key={i} className="flex-1" style={{ background: shade }} />
            ))}
          </div>
        ))}
      </div>
      <div className="flex min-w-0 flex-1 flex-col gap-2">
        {preview.themes.map((theme) => (
          <div key={theme.name} className="flex flex-wrap gap-0.5">
            {theme.colors.map((color, i) => (
              // biome-ignore lint/suspicious/noArrayIndexKey: roles are a fixed row
              <span key={i} className="checker size-3.5 overflow-hidden rounded-full border border-hair">
                <span className="block size-full" style={{ background: color }} />
              </span>
            ))}
          </div>
        ))}
        {tray.length > 0 && (
          <div className="flex items-center gap-0.5 text-sm text-quiet">
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
    </div>
  );
}
