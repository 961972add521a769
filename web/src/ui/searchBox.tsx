import { Search } from "lucide-react";

interface SearchBoxProps {
  readonly label: string;
  readonly value: string;
  onChange: (value: string) => void;
}

/** A field to search by name; what is typed there is nobody's shortcut. */
export function SearchBox({ label, value, onChange }: SearchBoxProps) {
  return (
    <label className="flex h-8 w-52 max-w-full items-center gap-2 rounded-md border border-hairline bg-surface px-2 focus-within:border-quiet">
      <Search size={16} className="shrink-0 text-quiet" aria-hidden="true" />
      <input
        type="search"
        aria-label={label}
        placeholder="Search"
        value={value}
        onChange={(event) => onChange(event.target.value)}
        onKeyDown={(event) => event.stopPropagation()}
        className="w-full min-w-0 bg-transparent outline-none placeholder:text-quiet"
      />
    </label>
  );
}
