import {
  angleOf,
  type Gradient,
  type GradientShape,
  type LinearShape,
  type RadialShape,
  shapeOf,
} from '@mint-lamp/core/document/gradients/gradient';
import type { RadialSize, StopPlace } from '@mint-lamp/core/gradient/model';
import { useEditing } from '../../../store/editing.ts';
import { Choice } from '../../../ui/choice.tsx';
import { NumberField } from '../../../ui/number-field.tsx';

const MIDDLE = [
  { value: 50, unit: '%' },
  { value: 50, unit: '%' },
] as const;

const KINDS: readonly { readonly value: Gradient['kind']; readonly label: string }[] = [
  { value: 'linear', label: 'linear: along a line' },
  { value: 'radial', label: 'radial: from a centre outwards' },
  { value: 'conic', label: 'conic: round a centre' },
];

/** A shape of each kind to begin with; a centre that is there is kept. */
function shapeOfKind(kind: Gradient['kind'], gradient: Gradient): GradientShape {
  const center = gradient.kind === 'linear' ? MIDDLE : gradient.center;
  if (kind === 'linear') return { kind, direction: { by: 'angle', degrees: 90 } };
  if (kind === 'conic') return { kind, from: 0, center };
  return { kind, shape: 'ellipse', size: 'farthest-corner', center };
}

const CORNERS = [
  'top left',
  'top',
  'top right',
  'right',
  'bottom right',
  'bottom',
  'bottom left',
  'left',
] as const;
const SIZES = [
  { value: 'closest-side', label: 'to the closest side' },
  { value: 'farthest-side', label: 'to the farthest side' },
  { value: 'closest-corner', label: 'to the closest corner' },
  { value: 'farthest-corner', label: 'to the farthest corner' },
  { value: 'length', label: 'to a radius you set' },
] as const;
const FARTHEST = 100_000;

/** The kind of a gradient and its geometry, as figures. */
export function ShapeSettings({ gradient }: { gradient: Gradient }) {
  const { edit } = useEditing();
  const set = (shape: GradientShape) => edit({ type: 'shapeGradient', gradient: gradient.id, shape });
  const shape = shapeOf(gradient);
  return (
    <div className="flex flex-col gap-2">
      <Choice
        label="Kind"
        value={gradient.kind}
        options={KINDS}
        onChange={(kind) => set(shapeOfKind(kind, gradient))}
      />
      {shape.kind === 'linear' && <Direction gradient={gradient} shape={shape} set={set} />}
      {shape.kind === 'radial' && <RadialSizes shape={shape} set={set} />}
      {shape.kind === 'conic' && (
        <NumberField
          label="From (°)"
          value={shape.from}
          min={0}
          max={360}
          decimals={1}
          onCommit={(from) => set({ ...shape, from })}
        />
      )}
      {shape.kind !== 'linear' && (
        <div className="grid grid-cols-2 gap-2">
          {(['x', 'y'] as const).map((axis, i) => (
            <NumberField
              key={axis}
              label={`Centre ${axis}`}
              unit={shape.center[i]!.unit}
              value={shape.center[i]!.value}
              min={-FARTHEST}
              max={FARTHEST}
              decimals={1}
              onCommit={(value) => {
                const center = [...shape.center] as [StopPlace, StopPlace];
                center[i] = { ...center[i]!, value };
                set({ ...shape, center });
              }}
            />
          ))}
        </div>
      )}
      <label className="flex h-8 items-center gap-1.5">
        <input
          type="checkbox"
          checked={gradient.repeating}
          onChange={({ target }) =>
            edit({ type: 'setGradient', gradient: gradient.id, change: { repeating: target.checked } })
          }
        />
        repeating
      </label>
    </div>
  );
}

interface PartProps<S extends GradientShape> {
  shape: S;
  set: (shape: GradientShape) => void;
}

function Direction({ gradient, shape, set }: PartProps<LinearShape> & { gradient: Gradient }) {
  const { direction } = shape;
  const degrees = angleOf(gradient);
  const corner =
    direction.by === 'corner' ? [direction.y, direction.x].filter((word) => word !== null).join(' ') : '';
  return (
    <div className="grid grid-cols-[1fr_84px] gap-2">
      <Choice
        label="Direction"
        value={corner}
        options={[
          { value: '', label: 'at an angle' },
          ...CORNERS.map((value) => ({ value, label: `to ${value}` })),
        ]}
        onChange={(value) => {
          const words = value.split(' ');
          const pick = <W extends string>(...of: readonly W[]) =>
            of.find((word) => words.includes(word)) ?? null;
          set({
            kind: 'linear',
            direction: value
              ? { by: 'corner', x: pick('left', 'right'), y: pick('top', 'bottom') }
              : { by: 'angle', degrees: 90 },
          });
        }}
      />
      {degrees !== null && (
        <NumberField
          label="Angle"
          unit="°"
          value={degrees}
          min={0}
          max={360}
          decimals={1}
          onCommit={(value) => set({ kind: 'linear', direction: { by: 'angle', degrees: value } })}
        />
      )}
    </div>
  );
}

function RadialSizes({ shape, set }: PartProps<RadialShape>) {
  const { size } = shape;
  const isCircle = shape.shape === 'circle';
  const lengths = typeof size === 'string' ? null : size;
  /** Circles have one length in px; ellipses two, in percent of the box unless said otherwise. */
  const usual = (circle: boolean): RadialSize =>
    circle
      ? [{ value: 100, unit: 'px' }]
      : [
          { value: 50, unit: '%' },
          { value: 50, unit: '%' },
        ];
  return (
    <>
      <div className="grid grid-cols-2 gap-2">
        <Choice
          label="Shape"
          value={shape.shape}
          options={[
            { value: 'ellipse', label: 'ellipse' },
            { value: 'circle', label: 'circle' },
          ]}
          onChange={(next) => set({ ...shape, shape: next, size: lengths ? usual(next === 'circle') : size })}
        />
        <Choice
          label="Reaches"
          value={typeof size === 'string' ? size : 'length'}
          options={SIZES}
          onChange={(next) => set({ ...shape, size: next === 'length' ? usual(isCircle) : next })}
        />
      </div>
      {lengths && (
        <div className="grid grid-cols-2 gap-2">
          {lengths.map((length, i) => (
            <NumberField
              // biome-ignore lint/suspicious/noArrayIndexKey: the one across, then the one down
              key={i}
              label={isCircle ? 'Radius' : i ? 'Half height' : 'Half width'}
              unit={length.unit}
              value={length.value}
              min={0}
              max={FARTHEST}
              decimals={1}
              onCommit={(value) => {
                const next = lengths.map((one, at) => (at === i ? { ...one, value } : one));
                set({ ...shape, size: next as unknown as RadialSize });
              }}
            />
          ))}
        </div>
      )}
    </>
  );
}
