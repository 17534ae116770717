/** Gradients that can be chosen instead, for what can be painted by one. */
export interface GradientChoice {
  readonly current: string | null;
  /** Takes a gradient; returns why it is refused, or null. */
  readonly onPick: (gradient: string) => string | null;
  readonly onLook?: (gradient: string) => void;
  /** Takes the present gradient in every theme; offered where it is given. */
  readonly onFill?: (gradient: string) => void;
}
