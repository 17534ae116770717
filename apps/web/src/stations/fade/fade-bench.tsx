import { gradientCss } from '@mint-lamp/core/exchange/css';
import type { MixingSpace } from '@mint-lamp/core/gradient/interpolate';
import { angleOf } from '@mint-lamp/core/system/gradients/gradient';
import type { ResolvedGradient } from '@mint-lamp/core/system/gradients/resolved-gradient';
import { Trash2 } from 'lucide-react';
import { useMemo } from 'react';
import { useNavigate } from 'react-router';
import { addressOf } from '../../addresses.ts';
import { NotesOn } from '../../notes/notes-on.tsx';
import { useEditing } from '../../store/editing.ts';
import { selectProject } from '../../store/selectors.ts';
import { useAppSelector } from '../../store/store.ts';
import { Button } from '../../ui/button.tsx';
import { Choice } from '../../ui/choice.tsx';
import { CopyButton } from '../../ui/copy-button.tsx';
import { NumberField } from '../../ui/number-field.tsx';
import { part } from '../../ui/part.tsx';
import { TextField } from '../../ui/text-field.tsx';
import { Track } from '../../ui/track.tsx';
import { Faults } from './faults.tsx';
import { GradientPreview } from './gradient-preview.tsx';
import { StopList } from './stop-list.tsx';

const Profile = part(() => import('./profile.tsx'), <div className="h-28" />);

const SPACES: readonly { value: MixingSpace; label: string }[] = [
  { value: 'oklab', label: 'OKLab, even to the eye' },
  { value: 'lab', label: 'Lab' },
  { value: 'srgb', label: 'sRGB, as old browsers' },
  { value: 'srgb-linear', label: 'Linear light' },
  { value: 'oklch', label: 'OKLCH, round the hues' },
  { value: 'lch', label: 'LCH, round the hues' },
  { value: 'hsl', label: 'HSL, round the hues' },
  { value: 'hwb', label: 'HWB, round the hues' },
];

interface FadeBenchProps {
  resolved: ResolvedGradient;
  openStop: string | null;
}

/** One gradient at work: on a banner with its handles, its profile, its stops and settings. */
export function FadeBench({ resolved, openStop }: FadeBenchProps) {
  const { gradient } = resolved;
  const { edit, tryEdit, preview } = useEditing();
  const id = useAppSelector((state) => selectProject(state).id);
  const navigate = useNavigate();
  const noted = useMemo(() => ({ kind: 'gradient', gradient: gradient.id }) as const, [gradient.id]);
  const css = gradientCss(resolved);
  const degrees = angleOf(gradient);
  const turn = (value: number) =>
    ({
      type: 'setGradient',
      gradient: gradient.id,
      change: { direction: { by: 'angle', degrees: value } },
    }) as const;
  return (
    <section aria-label={gradient.name} className="flex flex-col gap-3 px-5 pb-5">
      <GradientPreview resolved={resolved} openStop={openStop} />
      <Profile resolved={resolved} />
      <Faults resolved={resolved} />
      <div className="grid grid-cols-[1fr_264px] gap-6">
        <div className="flex min-w-0 flex-col gap-4">
          <StopList resolved={resolved} openStop={openStop} />
          <NotesOn on={noted} />
        </div>
        <div className="flex flex-col gap-2">
          <TextField
            label="Gradient"
            value={gradient.name}
            onCommit={(name) => tryEdit({ type: 'renameGradient', gradient: gradient.id, name })}
          />
          {degrees !== null && (
            <div>
              <span className="text-sm text-quiet">Angle (°)</span>
              <div className="flex items-center gap-2">
                <Track
                  label="Angle"
                  value={degrees}
                  min={0}
                  max={360}
                  step={1}
                  background="var(--surface-sunken)"
                  valueText={`${degrees} degrees`}
                  onPreview={(v) => preview(turn(v))}
                  onCommit={(v) => edit(turn(v))}
                />
                <NumberField
                  label="Angle"
                  hideLabel
                  value={degrees}
                  min={0}
                  max={360}
                  decimals={1}
                  onCommit={(v) => edit(turn(v))}
                  className="w-17 shrink-0"
                />
              </div>
            </div>
          )}
          <Choice
            label="Mixed in"
            value={gradient.space}
            options={SPACES}
            onChange={(space) => edit({ type: 'setGradient', gradient: gradient.id, change: { space } })}
          />
          {css && (
            <CopyButton text={css} label="Copy the gradient as CSS" className="-mx-1.5">
              Copy as CSS
            </CopyButton>
          )}
          <Button
            look="danger"
            className="self-start"
            onClick={() => {
              if (edit({ type: 'removeGradient', gradient: gradient.id })) navigate(addressOf(id, 'fade'));
            }}
          >
            <Trash2 aria-hidden className="size-4" /> Remove the gradient
          </Button>
        </div>
      </div>
    </section>
  );
}
