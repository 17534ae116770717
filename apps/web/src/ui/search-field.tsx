interface SearchFieldProps {
  label: string;
  value: string;
  onChange: (text: string) => void;
  className?: string;
}

/** A field for words that are looked for as they are typed. */
export function SearchField({ label, value, onChange, className }: SearchFieldProps) {
  return (
    <label className={className}>
      <span className="mb-0.5 block text-sm text-quiet">{label}</span>
      <input
        type="search"
        value={value}
        onChange={(event) => onChange(event.target.value)}
        className="h-8 w-full rounded-md border border-control bg-raised px-2"
      />
    </label>
  );
}
