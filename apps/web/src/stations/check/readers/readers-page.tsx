import { type Deficiency, METHOD, PREVALENCE, simulate } from '@mint-lamp/core/vision/simulate';
import { useMemo, useState } from 'react';
import type { Seeing } from '../../../scene/scene-paint.ts';
import { SceneThumb } from '../../../scene/scene-thumb.tsx';
import { useDocumentPart, useTheme } from '../../../store/selectors.ts';
import { EmptyState } from '../../../ui/notice.tsx';
import { Track } from '../../../ui/track.tsx';
import { CheckHeader } from '../check-header.tsx';
import { TwinsList } from './twins-list.tsx';

const WIDTH = 296;
const HEIGHT = 168;

const DEFICIENCIES: readonly { readonly id: Deficiency; readonly name: string }[] = [
  { id: 'deutan', name: 'Deutan: green cones' },
  { id: 'protan', name: 'Protan: red cones' },
  { id: 'tritan', name: 'Tritan: blue cones' },
  { id: 'achromat', name: 'Without colour' },
];

/** Views that nobody has measured a method for; their names say so. */
const APPROXIMATIONS = [
  { id: 'blurred', name: 'Blurred, an approximation', filter: 'blur(1.2px)' },
  { id: 'glare', name: 'In glare, an approximation', filter: 'contrast(0.45) brightness(1.55)' },
] as const;

/** A share of people as it is said: "3.1 of 100", "1 of 10,000". */
function peopleWords(share: number): string {
  if (share >= 0.005) return `about ${(share * 100).toFixed(1)} of 100 people`;
  return `about ${Math.round(share * 100_000)} of 100,000 people`;
}

/** The page as several people see it, side by side, and what of its colours somebody cannot tell apart. */
export default function ReadersPage() {
  const theme = useTheme();
  const roles = useDocumentPart('roles');
  const [severity, setSeverity] = useState(1);
  const seeings = useMemo(
    () =>
      new Map<Deficiency, Seeing>(
        DEFICIENCIES.map(({ id }) => [id, (color) => simulate(color, id, severity)]),
      ),
    [severity],
  );
  if (!roles.length)
    return (
      <>
        <CheckHeader view="readers" lead="The page as others see it." />
        <EmptyState title="Nothing to see yet">Scenes are painted by roles: name some at Assign.</EmptyState>
      </>
    );
  return (
    <>
      <CheckHeader
        view="readers"
        lead={`The timetable page in ${theme.theme.name}, as others see it. Method: ${METHOD}.`}
      />
      <div className="flex items-center gap-3 px-5 pb-3">
        <span className="text-sm">Severity</span>
        <div className="w-56">
          <Track
            label="Severity"
            value={severity * 100}
            min={0}
            max={100}
            step={5}
            background="var(--surface-sunken)"
            valueText={`${Math.round(severity * 100)} %`}
            onPreview={(value) => setSeverity(value / 100)}
            onCommit={(value) => setSeverity(value / 100)}
          />
        </div>
        <span className="w-12 text-right font-mono text-sm">{Math.round(severity * 100)} %</span>
        <span className="text-sm text-quiet">
          Gradients are seen so at their stops, veils before they are laid over what is beneath.
        </span>
      </div>
      <ul aria-label="Readers" className="grid grid-cols-[repeat(auto-fill,296px)] gap-4 px-5 pb-5">
        <li data-reader="everyone">
          <SceneThumb theme={theme} width={WIDTH} height={HEIGHT} />
          <p className="pt-1 text-sm">As it is</p>
        </li>
        {DEFICIENCIES.map(({ id, name }) => (
          <li key={id} data-reader={id}>
            <SceneThumb theme={theme} width={WIDTH} height={HEIGHT} see={seeings.get(id)!} />
            <p className="pt-1 text-sm">
              {name} <span className="text-quiet">· {peopleWords(PREVALENCE[id])}</span>
            </p>
          </li>
        ))}
        {APPROXIMATIONS.map(({ id, name, filter }) => (
          <li key={id} data-reader={id}>
            <div className="overflow-hidden rounded-md" style={{ width: WIDTH }}>
              <div style={{ filter }}>
                <SceneThumb theme={theme} width={WIDTH} height={HEIGHT} />
              </div>
            </div>
            <p className="pt-1 text-sm">{name}</p>
          </li>
        ))}
      </ul>
      <TwinsList severity={severity} />
    </>
  );
}
