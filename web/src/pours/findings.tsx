import type { Grade, Harm, PourFinding } from '@dewpot/core';

const harmWords: Record<Harm, string> = {
  1: 'Someone or the piece comes to harm',
  2: 'It will fail',
  3: 'It goes worse',
};
const marks: Record<Harm, string> = { 1: 'border-error', 2: 'border-warning', 3: 'border-base-300' };

/** What speaks against the moulds of a pour with their mix, the worst first, with what to do about it. */
export function Findings({ findings, onGrade }: { findings: readonly PourFinding[]; onGrade: (grade: Grade) => void }) {
  if (findings.length === 0) return <p className="quiet my-2">Nothing speaks against these moulds with this mix.</p>;
  return (
    <ul className="my-3 space-y-2" aria-label="What speaks against it">
      {findings.map(({ key, item, harm, text, reason, remedies }) => (
        <li key={`${key} ${item}`} className={`border-l-4 pl-3 ${marks[harm]}`}>
          <p>
            <strong>{harmWords[harm]}:</strong> {text} <span className="quiet text-sm">{reason}</span>
          </p>
          <p className="no-print flex flex-wrap items-center gap-x-4 gap-y-1">
            {remedies.map(({ text: words, grade }) =>
              grade === undefined ? (
                <span key={words}>{words}</span>
              ) : (
                <button
                  key={words}
                  type="button"
                  className="btn btn-ghost bg-base-300/60 h-11"
                  onClick={() => onGrade(grade)}
                >
                  {words}
                </button>
              ),
            )}
          </p>
        </li>
      ))}
    </ul>
  );
}
