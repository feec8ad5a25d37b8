import { type Basis, type Figure, msg, type Message, type Phrase } from '@dewpot/core/units';
import { Opened } from './opened';
import { TermLink } from './term-link';
import type { TermKey } from './terms';
import { useUnits } from './units';
import { useSay } from './say';

function basisInWords(basis: Basis): Message {
  switch (basis.kind) {
    case 'handbook':
      return msg('ui.basisHandbook');
    case 'learned':
      return msg('ui.basisLearned', { records: basis.records });
    case 'measured':
      return msg('ui.basisMeasured');
    case 'typed':
      return msg('ui.basisEntered');
    case 'computed':
      return msg('ui.basisComputed');
  }
}

/** A figure whose unit stays on its line. */
const unbroken = (said: string) => said.replaceAll(' ', '\u00a0');

/** The lines of working behind a figure, opened beneath it. */
export function FigureWorking({ figure, label = msg('ui.whereFrom') }: { figure: Figure; label?: Phrase }) {
  const say = useSay();
  return (
    <Opened label={say.value(label)} className="working">
      {() => <Working figure={figure} />}
    </Opened>
  );
}

function Working({ figure: { working, basis } }: { figure: Figure }) {
  const say = useSay();
  const units = useUnits();
  return (
    <div className="border-base-300 mt-2 border-l-2 pl-3">
      <dl className="space-y-1">
        {working.map((line, i) => (
          <div
            key={i}
            className={`grid grid-cols-[1fr_auto] gap-x-4 ${i === working.length - 1 ? 'border-base-300 border-t pt-1 font-semibold' : ''}`}
          >
            <dt>
              {say.value(line.label)}
              {line.how && <span className="quiet block text-xs font-normal">{say.value(line.how)}</span>}
            </dt>
            <dd className="text-right">
              {line.value === undefined ? '' : units.say(line.value, line.unit ?? 'ratio')}
            </dd>
          </div>
        ))}
      </dl>
      <p className="quiet mt-1 text-xs">{say('ui.thisFigureIs', { basis: basisInWords(basis) })}</p>
    </div>
  );
}

/** A figure in large numerals with its words, its band and its working. */
export function BigFigure({
  label,
  term,
  figure,
  note,
  size = 'text-3xl',
}: {
  label: string;
  /** The word of the trade that it is, to be read up. */
  term?: TermKey;
  figure: Figure;
  note?: string;
  size?: string;
}) {
  const say = useSay();
  const units = useUnits();
  const { number, unit } = units.split(figure.value, figure.unit);
  const isMoney = figure.unit === 'money';
  return (
    <div>
      {term ? (
        <div className="quiet text-sm">
          <TermLink of={term}>{label}</TermLink>
        </div>
      ) : (
        <p className="quiet text-sm">{label}</p>
      )}
      <p className="flex items-baseline gap-1">
        <span className={`numeral ${size}`}>{isMoney ? units.say(figure.value, 'money') : number}</span>
        {!isMoney && <span className="text-lg">{unit}</span>}
      </p>
      {figure.band && (
        <p className="quiet text-sm">
          {say('ui.between', {
            band: unbroken(units.say(figure.band[0], figure.unit)),
            band2: unbroken(units.say(figure.band[1], figure.unit)),
          })}
        </p>
      )}
      {note && <p className="quiet text-sm">{note}</p>}
      <FigureWorking figure={figure} />
    </div>
  );
}
