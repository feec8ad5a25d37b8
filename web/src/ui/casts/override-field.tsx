import { distinct, type Message } from '@dewpot/core/units';
import { useSay } from '../say';
/** The reason for which something is done against the advice. */
export function ReasonField({
  label,
  reason,
  onReason,
}: {
  label: string;
  reason: string;
  onReason: (reason: string) => void;
}) {
  const say = useSay();
  return (
    <label className="mt-2 block text-sm font-semibold">
      {label}
      <input
        className="input input-bordered mt-1 w-full"
        value={reason}
        maxLength={300}
        onChange={(event) => onReason(event.target.value)}
        placeholder={say('ui.yourReason')}
      />
    </label>
  );
}

/** What speaks against it, and the reason for which it is done all the same. */
export function OverrideField({
  title,
  reasons,
  note,
  label,
  reason,
  onReason,
}: {
  title: string;
  reasons: readonly Message[];
  note?: string;
  label: string;
  reason: string;
  onReason: (reason: string) => void;
}) {
  const say = useSay();
  return (
    <div role="alert" className="border-accent border-l-4 pl-3">
      <p className="text-accent font-semibold">{say('ui.betterToWait', { title })}</p>
      <ul className="list-disc pl-5">
        {distinct(reasons).map((one) => (
          <li key={JSON.stringify(one)}>{say(one)}</li>
        ))}
      </ul>
      {note && <p className="quiet mt-1 text-sm">{note}</p>}
      <ReasonField label={label} reason={reason} onReason={onReason} />
    </div>
  );
}
