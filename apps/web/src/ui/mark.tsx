/** The product's sign: a lamp and the light that it throws. */
export function Mark({ className }: { className?: string }) {
  return (
    <svg viewBox="0 0 32 32" className={className} aria-hidden>
      <path d="M3 28 16 11l13 17z" className="fill-mint" opacity=".5" />
      <path d="M9.5 28 16 11l6.5 17z" className="fill-mint" />
      <path d="M9 12a7 7 0 0 1 14 0z" className="fill-main" />
      <path d="M16 5V1.500" className="stroke-main" strokeWidth="2" strokeLinecap="round" />
    </svg>
  );
}
