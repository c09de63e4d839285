/** Yes or no beneath a field, as large as a finger. */
export function Tick({ label, ticked, onTick }: { label: string; ticked: boolean; onTick: (ticked: boolean) => void }) {
  return (
    <label className="mt-1 inline-flex min-h-11 items-center gap-3 text-[15px]">
      <input
        type="checkbox"
        className="size-5 accent-ink"
        checked={ticked}
        onChange={(e) => onTick(e.target.checked)}
      />
      {label}
    </label>
  );
}
