import { useQuery } from '@tanstack/react-query';
import { recoveryQuery, useMakeCodes } from '../api/account';
import { Button, buttonClass } from '../ui/button';
import { saveFile } from '../ui/save-file';
import { useSay } from '../ui/say';
import { Failure } from '../ui/states';

/** Codes for the day when the passphrase is lost: how many are left, and new ones. */
export function RecoveryCodes() {
  const say = useSay();
  const { data, error } = useQuery(recoveryQuery);
  const make = useMakeCodes();
  return (
    <details>
      <summary className={buttonClass()}>{say('workshop.recoveryCodes')}</summary>
      <div className="mt-3 space-y-3">
        {data && !make.data && <p>{say('workshop.recoveryLeft', { left: data.left })}</p>}
        <Failure error={error ?? make.error} />
        {make.data ? (
          <Codes codes={make.data.codes} />
        ) : (
          <>
            {(data?.left ?? 0) > 0 && <p className="quiet text-sm">{say('workshop.codesOver')}</p>}
            <Button look="strong" className="w-full" disabled={make.isPending} onClick={() => make.mutate()}>
              {say('workshop.makeCodes')}
            </Button>
          </>
        )}
      </div>
    </details>
  );
}

function Codes({ codes }: { readonly codes: readonly string[] }) {
  const say = useSay();
  return (
    <>
      <p role="status">{say('workshop.codesOnce')}</p>
      <ol className="grid grid-cols-1 gap-x-4 gap-y-1 font-mono text-sm sm:grid-cols-2">
        {codes.map((code) => (
          <li key={code}>{code}</li>
        ))}
      </ol>
      <Button onClick={() => saveFile(`${say('workshop.codesName')}.txt`, `${codes.join('\n')}\n`, 'text/plain')}>
        {say('workshop.codesFile')}
      </Button>
    </>
  );
}
