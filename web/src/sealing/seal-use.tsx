import { identity } from '@dewpot/core/units';
import { sealers } from '@dewpot/core/materials';
import { pieceUses, sealAdvice, type PieceUse } from '@dewpot/core/sealing';
import { Button } from '../ui/button';
import { Picks } from '../ui/picks';
import { pieceUseWords } from '../ui/piece-use-words';
import { useSay } from '../ui/say';

/** What a piece is for, and how it is sealed for that, with the reason and the cautions. */
export function SealUse({
  uses,
  onUses,
  busy,
  onLeaveBare,
}: {
  uses: readonly PieceUse[];
  onUses: (uses: readonly PieceUse[]) => void;
  busy: boolean;
  onLeaveBare: () => void;
}) {
  const say = useSay();
  const advice = sealAdvice(uses);
  return (
    <>
      <Picks
        legend="What is it for?"
        options={pieceUses.map((value) => ({ value, label: pieceUseWords[value] }))}
        value={uses}
        onChange={onUses}
      />
      <p>
        <strong>
          {advice.sealer
            ? `${say.value(sealers[advice.sealer].name)}, ${advice.coats} ${advice.coats > 1 ? 'coats' : 'coat'}.`
            : 'Leave unsealed.'}
        </strong>{' '}
        {say(advice.reason)}
      </p>
      {advice.cautions.map((caution) => (
        <p key={identity(caution)} className="border-accent border-l-4 pl-3">
          {say(caution)}
        </p>
      ))}
      {!advice.sealer && (
        <Button disabled={busy} look="main" size="tall" className="w-full text-lg" onClick={onLeaveBare}>
          Leave unsealed
        </Button>
      )}
    </>
  );
}
