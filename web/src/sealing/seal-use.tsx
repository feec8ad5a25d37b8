import { identity } from '@dewpot/core/units';
import { sealers } from '@dewpot/core/materials';
import { pieceUses, sealAdvice, type PieceUse } from '@dewpot/core/sealing';
import { Button } from '../ui/button';
import { Picks } from '../ui/picks';
import { pieceUseWords } from '../ui/piece-use-words';
import { LocalRules } from '../ui/local-rules';
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
        legend={say('pours.whatFor')}
        options={pieceUses.map((value) => ({ value, label: pieceUseWords[value] }))}
        value={uses}
        onChange={onUses}
      />
      <p>
        <strong>
          {advice.sealer
            ? say('sealing.adviceTold', { sealer: sealers[advice.sealer].name, coats: advice.coats })
            : say('sealing.leaveUnsealedTold')}
        </strong>{' '}
        {say(advice.reason)}
      </p>
      {advice.cautions.map((caution) => (
        <p key={identity(caution)} className="border-accent border-l-4 pl-3">
          {say(caution)}
        </p>
      ))}
      {advice.cautions.length > 0 && <LocalRules />}
      {!advice.sealer && (
        <Button disabled={busy} look="main" size="tall" className="w-full text-lg" onClick={onLeaveBare}>
          {say('sealing.leaveUnsealed')}
        </Button>
      )}
    </>
  );
}
