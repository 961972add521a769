interface NameInputProps {
  readonly label: string;
  readonly name: string;
  onRename: (name: string) => void;
}

/** A name that is changed where it stands: by Enter or by going on; an empty one is not taken. */
export function NameInput({ label, name, onRename }: NameInputProps) {
  return (
    <input
      // What it came to be called elsewhere is shown.
      key={name}
      aria-label={label}
      defaultValue={name}
      maxLength={120}
      onBlur={(event) => {
        const next = event.target.value.trim();
        if (next !== "" && next !== name) onRename(next);
      }}
      onKeyDown={(event) => {
        event.stopPropagation();
        if (event.key === "Enter") event.currentTarget.blur();
      }}
      className="w-full rounded bg-transparent px-0.5 font-bold hover:bg-page focus:bg-page"
    />
  );
}
