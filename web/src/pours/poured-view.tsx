import { coverCalled, releaseCalledBy } from '../ui/word-names';
import { quantity } from '@dewpot/core/units';
import { useMemo } from 'react';
import { defined } from '@dewpot/core/math';
import { consistency } from '@dewpot/core/mixes';
import type { PourPart } from '@dewpot/core/planning';
import { calculateSheet } from '@dewpot/core/pours';
import type { PourView } from '@dewpot/contract';
import { Link } from 'react-router';
import { useCastsOf } from '../api/casts';
import { useUndoPour } from '../api/pours';
import { Button, buttonClass } from '../ui/button';
import { stageWords } from '../ui/casts/stage-words';
import { WhyPour } from '../findings';
import { castLabel, makeLabels, PaperButton } from '../paper';
import { exactTime } from '../ui/format-time';
import { Failure } from '../ui/states';
import { countedLines, lineAgain, orderAddress } from '../ui/order-address';
import { useUnits } from '../ui/units';
import { mixNames } from './mix-names';
import { useSay } from '../ui/say';

/** What went in of one mix, beside what was planned. */
function WentIn({ part: { plan, log, mixName, mixRevision }, named }: { part: PourPart; named: boolean }) {
  const say = useSay();
  const units = useUnits();
  const sheet = useMemo(() => calculateSheet(plan), [plan]);
  const planned = (materialId: string) =>
    ([...sheet.batch.lines, ...sheet.batch.doses].find((line) => line.materialId === materialId)?.mass.value ?? 0) *
    sheet.batches.count;
  if (!log) return null;
  return (
    <section className="card-slab overflow-x-auto" aria-label={mixName}>
      {named && (
        <h2 className="mb-2 text-xl">
          {mixName}
          {mixRevision > 1 && <span className="quiet"> {say('pours.version', { mixRevision })}</span>}
        </h2>
      )}
      <table className="table">
        <thead>
          <tr>
            <th scope="col">{say('pours.wentIn')}</th>
            <th scope="col" className="text-right">
              {say('pours.planned')}
            </th>
            <th scope="col" className="text-right">
              {say('pours.really')}
            </th>
          </tr>
        </thead>
        <tbody>
          {[...plan.mix.lines, ...(plan.mix.doses ?? [])].map(({ material }) => (
            <tr key={material.id}>
              <td>{material.name}</td>
              <td className="text-right">{units.say(planned(material.id), 'g')}</td>
              <td className="text-right">{units.say(log.used[material.id] ?? 0, 'g')}</td>
            </tr>
          ))}
          <tr>
            <td>{say('pours.waterFromTap')}</td>
            <td className="text-right">{units.say(sheet.batch.water.tap.value * sheet.batches.count, 'mL')}</td>
            <td className="text-right">{units.say(log.tap, 'mL')}</td>
          </tr>
        </tbody>
      </table>
      <p className="quiet mt-2 text-sm">
        {say('pours.cameOutTold', {
          name: consistency(log.grade).name,
          temperature: quantity(log.temperature, '°C'),
          rest: log.short ? 'short' : log.leftover === undefined ? 'none' : 'left',
          amount: quantity((log.short || log.leftover) ?? 0, 'mL'),
        })}
      </p>
    </section>
  );
}

/** A pour that is in the record: what went in, and what came of it. */
export function PouredView({ pour: { id, number, parts, pouredAt, input } }: { pour: PourView }) {
  const say = useSay();
  const casts = useCastsOf({ pour: id });
  const undo = useUndoPour();
  const [own] = parts;
  return (
    <div className="mx-auto max-w-3xl space-y-4 p-4">
      <h1 className="text-3xl">
        {say('pours.titled', { number, pieces: mixNames(parts) })}
        {parts.length === 1 && defined(own).mixRevision > 1 && (
          <span className="quiet text-xl"> {say('pours.version', { mixRevision: defined(own).mixRevision })}</span>
        )}
      </h1>
      <p className="quiet">
        {pouredAt && say(exactTime(pouredAt))}.{' '}
        {[
          input.release && say('pours.releaseTold', { release: releaseCalledBy(input.release) }),
          input.cover && say('pours.coverTold', { cover: coverCalled(input.cover) }),
          input.place,
        ]
          .filter(Boolean)
          .join(', ')}
      </p>
      {parts.map((part) => (
        <WentIn key={part.mixId} part={part} named={parts.length > 1} />
      ))}
      <section className="card-slab">
        <h2 className="mb-2 text-xl">{say('pours.itsCasts')}</h2>
        <ul className="divide-base-300 divide-y">
          {casts.map(({ id: castId, code, stage, snapshot }) => (
            <li key={castId}>
              <Link to={`/casts/${castId}`} className="hover:bg-base-200 flex gap-4 py-2">
                <span className="numeral w-14 text-xl">{code}</span>
                <span className="flex-1">{snapshot.mouldName}</span>
                <span className="quiet">{say(stageWords[stage])}</span>
              </Link>
            </li>
          ))}
        </ul>
      </section>
      <WhyPour pourId={id} casts={casts} />
      <p className="flex flex-wrap gap-2">
        <Link to={`/pours/new?again=${id}`} className={buttonClass({ look: 'main' })}>
          {say('pours.repeatPour')}
        </Link>
        <Link
          to={orderAddress(countedLines(input.items.map((item) => lineAgain(item, input.mixId))))}
          className={buttonClass()}
        >
          {say('calendar.addToOrder')}
        </Link>
        {casts.length > 0 && (
          <PaperButton
            name={say('paper.labels')}
            file={`labels-${number}`}
            make={(ways) =>
              makeLabels(
                casts.map((cast) => castLabel(cast, say)),
                ways,
              )
            }
          />
        )}
        {parts.some(({ plan }) => plan.items.some(({ piece }) => piece === 'slab')) && (
          <Link to={`/pours/${id}/bench`} className={buttonClass()}>
            {say('pours.facesAtBench')}
          </Link>
        )}
      </p>
      <Failure error={undo.error} />
      {casts.length > 0 && casts.every(({ stage }) => stage === 'setting') && (
        <Button disabled={undo.isPending} onClick={() => undo.mutate(id)}>
          {say('pours.undoPour')}
        </Button>
      )}
    </div>
  );
}
