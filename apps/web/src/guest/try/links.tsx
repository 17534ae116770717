import { describeColor } from '@mint-lamp/core/color/describe';
import { writeGroup } from '@mint-lamp/core/document/naming/role-name';
import { colorOf } from '@mint-lamp/core/system/painted';
import type { ResolvedTheme, System } from '@mint-lamp/core/system/resolve';
import { GuestSection } from '../guest-frame.tsx';
import type { Trial } from './use-trial.ts';

interface LinksProps {
  system: System;
  theme: string;
  themeName: string;
  trial: Trial;
}

/** Which colour goes where, in the theme that is seen: any shade of any family. */
export function Links({ system, theme, themeName, trial }: LinksProps) {
  const resolved = system.themes.get(theme)!;
  const { roles } = system.document;
  if (!system.families.size || !roles.length) return null;
  return (
    <GuestSection
      title="Which colour goes where"
      says={`In ${themeName}. Press one to choose another shade.`}
    >
      <ul>
        {roles.map(({ id, group, name }) => (
          <li key={id} className="border-b border-hair">
            <details className="group" name="role">
              <summary className="flex min-h-12 cursor-pointer items-center gap-3 py-1.5">
                <Chip resolved={resolved} role={id} />
                <span className="min-w-0 flex-1 text-base break-words">
                  {group.length > 0 && <span className="text-quiet">{writeGroup(group)} </span>}
                  <b className="font-semibold">{name}</b>
                </span>
              </summary>
              <Shades system={system} theme={theme} role={id} name={name} trial={trial} />
            </details>
          </li>
        ))}
      </ul>
    </GuestSection>
  );
}

function Chip({ resolved, role }: { resolved: ResolvedTheme; role: string }) {
  const color = resolved.roles.get(role)?.color;
  return (
    <span
      aria-hidden
      className="size-9 shrink-0 rounded-md border border-control"
      style={{ background: color?.css }}
    />
  );
}

interface ShadesProps {
  system: System;
  theme: string;
  role: string;
  name: string;
  trial: Trial;
}

function Shades({ system, theme, role, name, trial }: ShadesProps) {
  const link = system.document.roles.find(({ id }) => id === role)?.links[theme];
  return (
    <div className="grid gap-2 pb-3">
      {[...system.families.values()].map(({ family, shades }) => (
        <div key={family.id}>
          <span className="text-sm text-quiet">{family.name}</span>
          <div className="flex flex-wrap gap-1.5">
            {shades.map((shade) => {
              const isOn = link?.to === 'shade' && link.family === family.id && link.shade === shade.label;
              return (
                <button
                  key={shade.label}
                  type="button"
                  aria-pressed={isOn}
                  aria-label={`${name}: ${family.name} ${shade.label}, ${describeColor(colorOf(shade))}`}
                  onClick={() =>
                    trial.set({
                      type: 'setLink',
                      role,
                      theme,
                      link: { to: 'shade', family: family.id, shade: shade.label },
                    })
                  }
                  className="size-10 rounded-md border border-control aria-pressed:outline-3 aria-pressed:outline-offset-1 aria-pressed:outline-main"
                  style={{ background: shade.css }}
                />
              );
            })}
          </div>
        </div>
      ))}
    </div>
  );
}
