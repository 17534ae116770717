import { SCENE_USE_IDS, type SceneUse } from '@mint-lamp/core/document/scenes/scene-uses';
import type { PaintedAreas } from './area-shares.ts';
import { countOwners, fillBox, inset, newOwners, type Owners, type RoundBox, Stencil } from './owners.ts';
import { paintedUse } from './painted-use.ts';

const idOf = (use: SceneUse) => SCENE_USE_IDS.indexOf(use) + 1;
const px = (value: string) => Number.parseFloat(value) || 0;

/** A box as a browser paints it: its edges on whole pixels. */
const snapped = (box: RoundBox): RoundBox => ({
  left: Math.round(box.left),
  top: Math.round(box.top),
  right: Math.round(box.right),
  bottom: Math.round(box.bottom),
  radius: box.radius,
});

/** What is drawn of a scene, and with what. */
class Drawing {
  readonly owners: Owners;
  private readonly stencil: Stencil;
  private readonly root: DOMRect;
  private readonly paints: (use: SceneUse) => boolean;

  constructor(scene: HTMLElement, paints: (use: SceneUse) => boolean) {
    this.root = scene.getBoundingClientRect();
    const [w, h] = [Math.round(this.root.width), Math.round(this.root.height)];
    this.owners = newOwners(w, h);
    this.stencil = new Stencil(this.owners);
    this.paints = paints;
  }

  boxOf(rect: DOMRect, radius = 0): RoundBox {
    const { left, top } = this.root;
    return {
      left: rect.left - left,
      top: rect.top - top,
      right: rect.right - left,
      bottom: rect.bottom - top,
      radius,
    };
  }

  /** The ground, borders and ring of an element; and, where it cuts off what is in it, the box that is left. */
  element(element: HTMLElement, clips: readonly RoundBox[]): RoundBox | null {
    const { ground, line } = element.dataset as { ground?: SceneUse; line?: SceneUse };
    const style = getComputedStyle(element);
    if (!ground && !line && style.overflowX !== 'hidden') return null;
    const box = snapped(this.boxOf(element.getBoundingClientRect(), px(style.borderTopLeftRadius)));
    const [top, right, bottom, left] = [
      px(style.borderTopWidth),
      px(style.borderRightWidth),
      px(style.borderBottomWidth),
      px(style.borderLeftWidth),
    ] as const;
    const padding = inset(box, top, right, bottom, left);
    if (ground && this.paints(ground)) fillBox(this.owners, box, idOf(ground), clips);
    if (line && this.paints(line)) {
      if (top || right || bottom || left) {
        if (style.borderTopStyle === 'dashed') this.dashes(box, top, line, clips);
        else fillBox(this.owners, box, idOf(line), clips, padding);
      }
    }
    const ring = style.outlineStyle === 'solid' ? px(style.outlineWidth) : 0;
    const ringed = paintedUse(element.style.outline);
    if (ring && ringed && this.paints(ringed)) {
      const hole = { ...inset(box, -px(style.outlineOffset)), radius: box.radius + px(style.outlineOffset) };
      const outer = { ...inset(hole, -ring), radius: hole.radius + ring };
      fillBox(this.owners, outer, idOf(ringed), clips, hole);
    }
    return style.overflowX === 'hidden' ? padding : null;
  }

  /** A dashed border above: dashes are twice as long as thick, and gaps once, as Chromium draws them. */
  private dashes(box: RoundBox, thick: number, line: SceneUse, clips: readonly RoundBox[]): void {
    for (let x = box.left; x < box.right; x += thick * 3)
      fillBox(
        this.owners,
        {
          left: x,
          top: box.top,
          right: Math.min(box.right, x + thick * 2),
          bottom: box.top + thick,
          radius: 0,
        },
        idOf(line),
        clips,
      );
  }

  /** The letters of a text, word by word where they stand, and the line under them. */
  text(node: Node, use: SceneUse): void {
    if (!this.paints(use)) return;
    const parent = node.parentElement!;
    const style = getComputedStyle(parent);
    const words = node.textContent!;
    const range = document.createRange();
    const placed: { word: string; box: RoundBox }[] = [];
    for (const { 0: word, index } of words.matchAll(/\S+/g)) {
      range.setStart(node, index);
      range.setEnd(node, index + word.length);
      placed.push({ word, box: this.boxOf(range.getBoundingClientRect()) });
    }
    if (!placed.length) return;
    const font = `${style.fontWeight} ${style.fontSize} ${style.fontFamily}`;
    range.selectNodeContents(node);
    const whole = this.boxOf(range.getBoundingClientRect());
    this.stencil.draw(whole, idOf(use), (context) => {
      context.font = font;
      context.fontKerning = 'normal';
      const { fontBoundingBoxAscent: ascent, fontBoundingBoxDescent: descent } = context.measureText('x');
      for (const { word, box } of placed) {
        // The box of a text is that of its font, whatever the height of its line.
        const baseline = box.top + (box.bottom - box.top - ascent - descent) / 2 + ascent;
        context.fillText(word, box.left, Math.round(baseline));
      }
    });
    if (style.textDecorationLine.includes('underline')) this.underline(node, style, use);
  }

  private underline(node: Node, style: CSSStyleDeclaration, use: SceneUse): void {
    const range = document.createRange();
    range.selectNodeContents(node);
    const size = px(style.fontSize);
    const thick = Math.max(1, Math.round(size / 18));
    for (const rect of range.getClientRects()) {
      const box = this.boxOf(rect);
      const top = Math.round(box.bottom - (box.bottom - box.top) * 0.24 + px(style.textUnderlineOffset));
      fillBox(this.owners, { ...box, top, bottom: top + thick }, idOf(use));
    }
  }

  /** A shape of a chart: its area, or its line. */
  shape(shape: SVGGraphicsElement): void {
    const style = getComputedStyle(shape);
    const matrix = shape.getScreenCTM();
    if (!matrix) return;
    const { left, top } = this.root;
    const box = this.boxOf(shape.getBoundingClientRect());
    const fill = paintedUse(shape.getAttribute('fill'));
    const stroke = paintedUse(shape.getAttribute('stroke'));
    if (shape instanceof SVGTextElement) {
      if (fill && this.paints(fill))
        this.stencil.draw(box, idOf(fill), (context) => {
          context.font = `${style.fontWeight} ${style.fontSize} ${style.fontFamily}`;
          const { fontBoundingBoxAscent: ascent } = context.measureText('x');
          context.fillText(shape.textContent ?? '', box.left, box.top + ascent);
        });
      return;
    }
    const path = new Path2D(pathOf(shape));
    const drawn = (
      use: SceneUse,
      paint: (context: OffscreenCanvasRenderingContext2D) => void,
      more: number,
    ) =>
      this.stencil.draw(
        { left: box.left - more, top: box.top - more, right: box.right + more, bottom: box.bottom + more },
        idOf(use),
        (context) => {
          context.setTransform(matrix.a, matrix.b, matrix.c, matrix.d, matrix.e - left, matrix.f - top);
          paint(context);
        },
      );
    if (fill && this.paints(fill)) drawn(fill, (context) => context.fill(path), 0);
    if (!stroke || !this.paints(stroke)) return;
    const width = px(style.strokeWidth);
    drawn(
      stroke,
      (context) => {
        context.lineWidth = width;
        context.stroke(path);
      },
      width,
    );
  }
}

/** What a shape is, as the data of a path. */
function pathOf(shape: SVGGraphicsElement): string {
  const number = (name: string) => Number(shape.getAttribute(name)) || 0;
  if (shape instanceof SVGLineElement)
    return `M${number('x1')} ${number('y1')}L${number('x2')} ${number('y2')}`;
  return shape.getAttribute('d') ?? '';
}

/** Elements and texts that are drawn between two stops. */
const AT_A_TIME = 8;

/**
 * What each use covers of a laid out scene, text, lines and round corners counted, pixel by pixel as the browser paints
 * it; with a stop now and then. `paints` says which uses are painted.
 */
export function* paintedAreas(
  scene: HTMLElement,
  paints: (use: SceneUse) => boolean,
): Generator<void, PaintedAreas> {
  const drawing = new Drawing(scene, paints);
  const cut = new Map<Element, readonly RoundBox[]>();
  const clipsOf = (element: Element): readonly RoundBox[] => cut.get(element.parentElement!) ?? [];
  const walker = document.createTreeWalker(scene, NodeFilter.SHOW_ELEMENT | NodeFilter.SHOW_TEXT);
  let drawn = 0;
  for (let node: Node | null = walker.currentNode; node; node = walker.nextNode()) {
    if (++drawn % AT_A_TIME === 0) yield;
    if (node instanceof HTMLElement) {
      const clips = clipsOf(node);
      const clip = drawing.element(node, clips);
      cut.set(node, clip ? [...clips, clip] : clips);
    } else if (node instanceof SVGGraphicsElement) drawing.shape(node);
    else if (node.nodeType === Node.TEXT_NODE && !(node.parentElement instanceof SVGElement)) {
      const use = node.parentElement!.closest<HTMLElement>('[data-text]')?.dataset.text as
        | SceneUse
        | undefined;
      if (use && node.textContent!.trim()) drawing.text(node, use);
    }
  }
  const counts = countOwners(drawing.owners);
  const covered = SCENE_USE_IDS.flatMap((use) => {
    const px = counts[idOf(use)]!;
    return px ? [[use, px] as const] : [];
  });
  return { px: new Map(covered), all: drawing.owners.ids.length };
}
