/** A secret that is told this once, ready to be copied. */
export function ShownOnce({ label, value }: { label: string; value: string }) {
  return (
    <label className="block text-sm font-semibold">
      {label}
      <input
        className="input input-bordered mt-1 w-full font-mono text-sm"
        readOnly
        value={value}
        onFocus={(event) => event.target.select()}
      />
    </label>
  );
}
