import { Amounts } from '../ui/amounts';
import { listed, identity, quantity, msg } from '@dewpot/core/units';
import { coatTools, coatToolWords, sides } from '@dewpot/core/sealing';
import { Button } from '../ui/button';
import type { ActionProps } from '../ui/casts/action-props';
import { sideWords } from '../ui/casts/event-words';
import { OverrideField } from '../ui/casts/override-field';
import { toolWords } from '../ui/casts/seal-words';
import { Choice } from '../ui/choice';
import { FigureWorking } from '../ui/figure-working';
import { dayOf } from '../ui/format-time';
import { SealUse } from './seal-use';
import { useCoat, type Coat } from './use-coat';
import { useSay } from '../ui/say';

/** A coat of sealer by what the piece is for. A damp piece is refused with the reason; that can be overridden, and is kept. */
export function CoatForm({ casts, busy, record }: ActionProps) {
  const say = useSay();
  const coat = useCoat({ casts, record });
  const { chosen, choose, advised, coats, done } = coat;
  return (
    <form className="space-y-4" onSubmit={(event) => event.preventDefault()}>
      {done === 0 && (
        <SealUse uses={chosen.uses} onUses={(uses) => choose({ uses })} busy={busy} onLeaveBare={coat.leaveBare} />
      )}
      <CoatChoices coat={coat} />
      <OneCoat coat={coat} count={casts.length} />
      <Against coat={coat} count={casts.length} />
      <Button
        type="submit"
        disabled={busy || (advised && chosen.reason.trim() === '')}
        look={advised ? 'warning' : 'main'}
        size="bench"
        className="w-full text-lg"
        onClick={coat.save}
      >
        {advised
          ? say('sealing.coatAgainst')
          : coats > 1
            ? say('sealing.coatOn', { done: done + 1, coats: Math.max(coats, done + 1) })
            : say('sealing.oneCoatOn')}
      </Button>
    </form>
  );
}

function CoatChoices({ coat: { chosen, choose, products, product, coats, side, done } }: { coat: Coat }) {
  const say = useSay();
  return (
    <>
      <Choice
        legend={say('sealing.withWhat')}
        options={products.map(({ id, sealer }) => ({ value: id, label: sealer.name }))}
        value={product.id}
        onChange={(id) => choose({ product: id })}
      />
      <div className="flex flex-wrap gap-x-6 gap-y-3">
        {done === 0 && (
          <Choice
            legend={say('sealing.coats')}
            options={[1, 2, 3].map((value) => ({ value, label: `${value}` }))}
            value={coats}
            onChange={(value) => choose({ coats: value })}
          />
        )}
        <Choice
          legend={say('sealing.where')}
          options={sides.map((value) => ({ value, label: sideWords[value] }))}
          value={side}
          onChange={(value) => choose({ side: value })}
        />
        <Choice
          legend={say('sealing.appliedBy')}
          options={coatTools.map((value) => ({ value, label: toolWords[value] }))}
          value={chosen.tool}
          onChange={(tool) => choose({ tool })}
        />
      </div>
      <p className="quiet text-sm">
        {say(toolWords[chosen.tool])}: {say(coatToolWords[chosen.tool])}.
      </p>
    </>
  );
}

/** How much one coat takes, and the lot that it comes from. */
function OneCoat({ coat: { volume, product, lot, now }, count }: { coat: Coat; count: number }) {
  const say = useSay();
  return (
    <div>
      <p>
        <Amounts
          of={msg('sealing.oneThinCoat', { volume, count, cure: quantity(product.sealer.cureDays, 'days', 0) })}
        />
      </p>
      {lot && (
        <p className="quiet text-sm">
          {say('sealing.fromLot', {
            boughtAt: dayOf(lot.boughtAt, now),
            left: quantity(lot.left, 'mL'),
            short: lot.left < volume.value ? 'yes' : 'no',
          })}
        </p>
      )}
      <FigureWorking figure={volume} />
    </div>
  );
}

/** What speaks against it: told, or to be overridden with a reason. */
function Against({ coat, count }: { coat: Coat; count: number }) {
  const say = useSay();
  const { chosen, choose, told, against, shut, soon, advised } = coat;
  return (
    <>
      {told.map(({ told: what, remedy }) => (
        <p key={identity(what)} className="border-accent border-l-4 pl-3">
          {say(what)} {say(remedy)}
        </p>
      ))}
      {against.length > 0 && (
        <ul className="border-accent list-none space-y-1 border-l-4 pl-3">
          {against.map((one) => (
            <li key={identity(one)}>{say(one)}</li>
          ))}
        </ul>
      )}
      {advised && (
        <OverrideField
          title={
            shut.length === 0
              ? say('sealing.notYet')
              : shut.length === count
                ? say('sealing.notDry')
                : say('sealing.notDryCodes', { shut: listed(shut.map(({ cast }) => cast.code)) })
          }
          reasons={[...shut.flatMap(({ reasons }) => reasons), ...soon.map((one) => one.told)]}
          note={say('sealing.doNotSealYet')}
          label={say('sealing.coatAllTheSame')}
          reason={chosen.reason}
          onReason={(reason) => choose({ reason })}
        />
      )}
    </>
  );
}
