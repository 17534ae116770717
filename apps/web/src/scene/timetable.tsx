import type { CSSProperties, ReactNode } from 'react';
import { paintedText } from '../ui/painted-text.ts';
import type { PartPaint, ScenePaint } from './scene-paint.ts';

const SAILINGS = [
  ['08:15', 'Hallin – Oster Skerry', 'On time', 'ontime'],
  ['09:40', 'Oster Skerry – Grey Holm', 'Delayed to 10:05', 'delay'],
  ['11:20', 'Grey Holm – Hallin', 'On time', 'ontime'],
  ['13:05', 'Hallin – Grey Holm', 'Cancelled', 'cancelled'],
] as const;

interface PaintedProps {
  ground?: PartPaint | undefined;
  /** Id of the gradient that its ground is painted with. */
  gradient?: string | undefined;
  text?: PartPaint | undefined;
  border?: PartPaint | undefined;
  style?: CSSProperties;
  className?: string;
  children?: ReactNode;
}

/** A painted part. A click on it is answered with the role of its text if it has one, else of its ground. */
function Painted({ ground, gradient, text, border, style, className, children }: PaintedProps) {
  return (
    <div
      data-role={text?.role ?? ground?.role ?? border?.role}
      data-ground={ground?.role}
      data-text={text?.standsIn ? undefined : text?.role}
      data-stand-in={ground?.standsIn || undefined}
      data-gradient={gradient}
      className={className}
      style={{
        ...style,
        ...(text?.css ? paintedText(text.css, ground?.css) : ground?.css ? { background: ground.css } : {}),
        ...(border ? { borderColor: border.css ?? 'transparent' } : {}),
      }}
    >
      {children}
    </div>
  );
}

/** The timetable page of a ferry line, painted by roles only. */
export function Timetable({ paint }: { paint: ScenePaint }) {
  const page = paint.role('page.ground');
  const raised = paint.role('page.raised', 'page.ground');
  const main = paint.role('text.main');
  const quiet = paint.role('text.quiet', 'text.main');
  const link = paint.role('text.link', 'action.fill', 'text.main');
  const soft = paint.line('line.soft', 'text.quiet', 'text.main');
  const strong = paint.line('line.strong', 'line.soft', 'text.main');
  const fill = paint.role('action.fill', 'text.main');
  const onFill = paint.role('action.text', 'page.ground');
  const accent = paint.role('accent.fill', 'action.fill', 'text.main');
  const onAccent = paint.role('accent.text', 'action.text', 'page.ground');
  const hero = paint.role('hero.text', 'page.ground');
  const veil = paint.line('hero.veil');
  const board = paint.role('board.ground', 'text.main');
  const boardText = paint.role('board.text', 'page.ground');
  const boardQuiet = paint.role('board.quiet', 'page.ground');
  const ring = paint.line('focus.ring', 'action.fill', 'text.main');
  const firstLight = paint.gradient('First light');
  return (
    <Painted ground={page} className="min-h-full text-[15px]">
      <Painted ground={raised} border={soft} className="flex items-center gap-6 border-b px-7 py-3">
        <Painted text={main} className="text-[19px] font-bold">
          Skerry Line
        </Painted>
        <Painted text={link} className="ml-auto underline underline-offset-4">
          Timetable
        </Painted>
        <Painted text={main}>Islands</Painted>
        <Painted text={main}>On board</Painted>
        <Painted ground={fill} text={onFill} className="rounded-md px-4 py-1.5 font-semibold">
          Book a crossing
        </Painted>
      </Painted>
      <Painted
        ground={firstLight ? { css: firstLight.css, role: veil.role ?? hero.role } : fill}
        gradient={firstLight?.id}
        className="relative h-36"
      >
        <Painted ground={veil} className="absolute inset-0" />
        <Painted text={hero} className="absolute inset-x-7 bottom-5">
          <div className="text-[30px] leading-tight font-bold">First light to Oster Skerry</div>
          <div className="text-[24px] leading-snug">Daily from the north pier, Hallin</div>
        </Painted>
      </Painted>
      <div className="grid grid-cols-[1.6fr_1fr] gap-6 p-7">
        <Painted ground={raised} border={soft} className="rounded-md border">
          <div className="flex items-baseline justify-between px-4 pt-3 pb-2">
            <Painted text={main} className="text-[19px] font-bold">
              Departures today
            </Painted>
            <Painted text={quiet}>All times local</Painted>
          </div>
          {SAILINGS.map(([time, route, state, kind]) => (
            <Painted key={time} border={soft} className="flex items-center gap-4 border-t px-4 py-2.5">
              <Painted text={main} className="w-14 font-bold">
                {time}
              </Painted>
              <Painted text={main} className="flex-1">
                {route}
              </Painted>
              <Painted
                ground={paint.role(`notice.${kind}.ground`, 'page.ground')}
                text={paint.role(`notice.${kind}.text`, 'text.main')}
                className="rounded-md px-2 py-0.5 text-[14px] font-semibold"
              >
                {state}
              </Painted>
            </Painted>
          ))}
        </Painted>
        <div className="flex flex-col gap-5">
          <Painted ground={board} className="rounded-md p-4">
            <Painted text={boardQuiet} className="text-[14px]">
              Next sailing, pier 2
            </Painted>
            <Painted text={boardText} className="text-[32px] leading-tight font-bold">
              09:40
            </Painted>
            <Painted text={boardText} className="text-[18px]">
              Grey Holm
            </Painted>
          </Painted>
          <Painted ground={raised} border={strong} className="rounded-md border p-4">
            <Painted text={main} className="mb-1 font-bold">
              Day return
            </Painted>
            <Painted text={quiet} className="mb-3 text-[14px]">
              Any sailing, one bicycle free
            </Painted>
            <Painted
              ground={accent}
              text={onAccent}
              className="inline-block rounded-md px-5 py-2 text-[19px] font-bold"
              style={{ outline: `3px solid ${ring.css ?? 'transparent'}`, outlineOffset: 2 }}
            >
              Reserve
            </Painted>
          </Painted>
        </div>
      </div>
    </Painted>
  );
}
