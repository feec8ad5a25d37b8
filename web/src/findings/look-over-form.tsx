import { useState } from 'react';
import { Camera } from 'lucide-react';
import { defined } from '@dewpot/core/math';
import {
  faults,
  severities,
  spots,
  spotWords,
  type DrawnPoint,
  type Fault,
  type Severity,
  type Spot,
} from '@dewpot/core/casts';
import { faultLooks, faultName } from '@dewpot/core/findings';
import { Button } from '../ui/button';
import { FileButton } from '../ui/file-button';
import { Choice } from '../ui/choice';
import type { ActionProps } from '../ui/casts/action-props';
import { DoneButton } from '../ui/casts/done-button';
import { severityWords } from '../ui/casts/event-words';
import { useSay } from '../ui/say';
import { FaultDrawing } from './fault-drawing';

/** Where a fault is and how badly, as far as it was told. */
interface Told {
  readonly severity: Severity;
  readonly spot?: Spot;
  readonly drawn?: DrawnPoint;
  readonly photo?: File;
}

/** Looking a piece over: nothing wrong in one tap, or what is wrong, how badly, and where on its own drawing. */
export function LookOverForm(props: ActionProps) {
  const { casts, busy, record } = props;
  const say = useSay();
  const [told, setTold] = useState<Partial<Record<Fault, Told>>>({});
  const chosen = faults.filter((fault) => told[fault]);
  const toggle = (fault: Fault) => {
    const { [fault]: before, ...others } = told;
    setTold(before ? others : { ...told, [fault]: { severity: 'clear' } });
  };
  const all = () =>
    record(
      say('findings.faultsKept', { faults: chosen.length }),
      casts.flatMap((cast) =>
        chosen.map((fault) => {
          const { photo, ...seen } = defined(told[fault]);
          return { cast, event: { type: 'fault-seen' as const, fault, ...seen }, ...(photo && { photo }) };
        }),
      ),
    );
  return (
    <div className="space-y-4">
      <fieldset>
        <legend className="mb-1 text-sm font-semibold">{say('findings.whatIsWrong')}</legend>
        <div className="grid grid-cols-2 gap-1.5 sm:grid-cols-4">
          {faults.map((fault) => (
            <Button key={fault} aria-pressed={told[fault] !== undefined} look={told[fault] ? 'warning' : 'soft'} size="tall" className="justify-start px-3 text-left text-sm leading-tight" title={say(faultLooks(fault))} onClick={() => toggle(fault)}>
              {say(faultName(fault))}
            </Button>
          ))}
        </div>
      </fieldset>
      {chosen.map((fault) => (
        <FaultFields key={fault} fault={fault} told={defined(told[fault])} casts={casts} onChange={(next) => setTold({ ...told, [fault]: next })} />
      ))}
      {chosen.length === 0 ? (
        <DoneButton {...props} event={{ type: 'found-sound' }} said={say('findings.soundKept', { casts: casts.length })}>
          {say('findings.nothingWrong')}
        </DoneButton>
      ) : (
        <Button disabled={busy} look="main" size="bench" className="w-full text-lg" onClick={all}>
          {say('findings.keepFaults', { faults: chosen.length })}
        </Button>
      )}
    </div>
  );
} // prettier-ignore

/** How badly one fault shows, and where. */
function FaultFields({ fault, told, casts, onChange }: { fault: Fault; told: Told; casts: ActionProps['casts']; onChange: (told: Told) => void }) {
  const say = useSay();
  const [cast] = casts;
  return (
    <section className="border-base-300 space-y-3 border-t pt-3" aria-label={say(faultName(fault))}>
      <div>
        <h3 className="text-lg">{say(faultName(fault))}</h3>
        <p className="quiet text-sm">{say(faultLooks(fault))}</p>
      </div>
      <Choice legend={say('findings.howBadly')} options={severities.map((value) => ({ value, label: severityWords[value] }))} value={told.severity} onChange={(severity) => onChange({ ...told, severity })} />
      <div className="flex flex-wrap items-start gap-4">
        <div className="min-w-0 flex-1">
          <Choice legend={say('findings.where')} options={spots.map((value) => ({ value, label: spotWords[value] }))} value={told.spot} onChange={(spot) => onChange({ ...told, spot })} />
        </div>
        {casts.length === 1 && cast && <FaultDrawing cast={cast} drawn={told.drawn} onDrawn={(drawn) => onChange({ ...told, drawn })} />}
      </div>
      {casts.length === 1 && (
        <FileButton label={say('findings.photoOfFault', { fault: faultName(fault) })} accept="image/*" size="low" className="px-3 text-sm" onFile={(photo) => Promise.resolve(onChange({ ...told, photo }))}>
          <Camera size={16} aria-hidden="true" /> {told.photo ? told.photo.name : say('findings.addPhoto')}
        </FileButton>
      )}
    </section>
  );
} // prettier-ignore
