/** An element of an SVG file as a parser of XML gives it. */
export interface SvgElement {
  /** Without a prefix. */
  readonly name: string;
  readonly attributes: Readonly<Record<string, string>>;
  readonly children: readonly SvgElement[];
  /** Of a `style` element: what stands in it. */
  readonly text?: string;
}
