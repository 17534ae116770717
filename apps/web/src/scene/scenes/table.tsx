import clsx from 'clsx';
import type { ReactElement } from 'react';
import { Area, AreaChart, Bar, BarChart, CartesianGrid, ResponsiveContainer, XAxis, YAxis } from 'recharts';
import { Part } from '../part.tsx';
import type { SceneText } from '../scene-text.ts';
import { TopBar } from './top-bar.tsx';

const FIGURES = [
  [412, 380],
  [538, 455],
  [301, 340],
  [620, 505],
  [488, 470],
] as const;

const STATES = ['good', 'warning', 'good', 'danger', 'note'] as const;
/** All of the few labels are drawn, without measuring whether they have room: that costs as much as the chart itself. */
const axis = {
  interval: 0,
  tickLine: false,
  tick: { fill: 'var(--s-quiet, #808080)', fontSize: 13 },
} as const;

/** Figures: filters, a chart of them, and the table with a chosen row. Charts are painted by roles as all else is. */
export default function Table({ text }: { text: SceneText }) {
  const names = [text.what1, text.what2, text.what3, text.what4, text.menu2];
  const states = [text.state1, text.state2, text.state3, text.state4, text.noteTitle];
  const data = FIGURES.map(([now, before], i) => ({
    name: [text.time1, text.time2, text.time3, text.time4, '14:00'][i],
    now,
    before,
  }));
  return (
    <Part ground="page" className="min-h-full text-[15px]">
      <TopBar text={text} />
      <div className="flex flex-col gap-4 p-7 @max-[640px]:px-4">
        <div className="flex flex-wrap items-center gap-2">
          <Part text="text" className="mr-auto text-[24px] font-bold">
            {text.tableTitle}
          </Part>
          {[text.choice1, text.choice2, text.choice3].map((filter, i) => (
            <Part
              // biome-ignore lint/suspicious/noArrayIndexKey: a fixed row, whose words may be the same
              key={i}
              ground={i === 0 ? 'chosen' : 'raised'}
              text={i === 0 ? 'chosen-text' : 'text'}
              line="edge"
              className="rounded-md border px-3 py-1 text-[14px]"
            >
              {filter}
            </Part>
          ))}
        </div>
        <div className="grid gap-4 @min-[700px]:grid-cols-2">
          <Chart>
            <BarChart data={data} barGap={2} accessibilityLayer={false}>
              <CartesianGrid vertical={false} stroke="var(--s-line, transparent)" />
              <XAxis dataKey="name" {...axis} axisLine={{ stroke: 'var(--s-edge, transparent)' }} />
              <YAxis {...axis} axisLine={false} width={34} />
              <Bar
                dataKey="now"
                fill="var(--s-action, transparent)"
                radius={[3, 3, 0, 0]}
                isAnimationActive={false}
              />
              <Bar
                dataKey="before"
                fill="var(--s-accent, transparent)"
                radius={[3, 3, 0, 0]}
                isAnimationActive={false}
              />
            </BarChart>
          </Chart>
          <Chart>
            {/* Lines as the edges of areas that are not filled: a line alone is measured along its path, which is slow. */}
            <AreaChart
              data={data}
              margin={{ top: 5, right: 20, bottom: 5, left: 5 }}
              accessibilityLayer={false}
            >
              <CartesianGrid vertical={false} stroke="var(--s-line, transparent)" />
              <XAxis dataKey="name" {...axis} axisLine={{ stroke: 'var(--s-edge, transparent)' }} />
              <YAxis {...axis} axisLine={false} width={34} />
              <Area
                dataKey="now"
                stroke="var(--s-action, transparent)"
                strokeWidth={3}
                fill="none"
                isAnimationActive={false}
              />
              <Area
                dataKey="before"
                stroke="var(--s-accent, transparent)"
                strokeWidth={3}
                fill="none"
                isAnimationActive={false}
              />
            </AreaChart>
          </Chart>
        </div>
        <Part ground="raised" line="line" className="overflow-hidden rounded-md border">
          <Part ground="sunken" className="grid grid-cols-[1.5fr_1fr_1fr] gap-3 px-4 py-2">
            {[text.column1, text.column2, text.column3].map((column, i) => (
              <Part
                // biome-ignore lint/suspicious/noArrayIndexKey: a fixed row, whose words may be the same
                key={i}
                text="quiet"
                className={clsx('text-[14px] font-semibold', i === 1 && 'text-right')}
              >
                {column}
              </Part>
            ))}
          </Part>
          {FIGURES.map(([now], i) => {
            const chosen = i === 2;
            return (
              <Part
                key={now}
                ground={chosen ? 'chosen' : 'raised'}
                line="line"
                className="grid grid-cols-[1.5fr_1fr_1fr] items-center gap-3 border-t px-4 py-2"
              >
                <Part text={chosen ? 'chosen-text' : 'text'}>{names[i]}</Part>
                <Part text={chosen ? 'chosen-text' : 'text'} className="text-right tabular-nums">
                  {now}
                </Part>
                <div>
                  <Part
                    ground={STATES[i]!}
                    text={`${STATES[i]!}-text`}
                    className="inline-block rounded-md px-2 text-[14px] font-semibold"
                  >
                    {states[i]}
                  </Part>
                </div>
              </Part>
            );
          })}
        </Part>
      </div>
    </Part>
  );
}

const Chart = ({ children }: { children: ReactElement }) => (
  <Part ground="raised" line="line" className="rounded-md border p-3">
    <ResponsiveContainer width="100%" height={190} initialDimension={{ width: 380, height: 190 }}>
      {children}
    </ResponsiveContainer>
  </Part>
);
