/** A labelled tick. */
export function CheckField({ label, on = false, onChange }: { label: string; on?: boolean | undefined; onChange: (on: boolean) => void }) {
  return (
    <label className="flex min-h-11 cursor-pointer items-center gap-3">
      <input type="checkbox" className="checkbox" checked={on} onChange={({ target }) => onChange(target.checked)} />
      {label}
    </label>
  );
} // prettier-ignore
