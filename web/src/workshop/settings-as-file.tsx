import { useState } from 'react';
import { useSaveSettings, useSettings } from '../api/session';
import { Button } from '../ui/button';
import { FileButton } from '../ui/file-button';
import { saveFile } from '../ui/save-file';
import { useSay } from '../ui/say';
import { Failure } from '../ui/states';
import { toast } from '../ui/toast';
import { notRead, type NotRead } from '../ui/thing-file';
import { differing, readSettingsFile, settingsFile, type SharedSettings } from './settings-file';

/** The settings out to a file, and in from one of another workshop: first what would change, then the change. */
export function SettingsAsFile() {
  const say = useSay();
  const settings = useSettings();
  const save = useSaveSettings();
  const [read, setRead] = useState<SharedSettings | NotRead>();
  const found = typeof read === 'object' ? read : undefined;
  const count = found && differing(found, settings);
  const take = () =>
    save.mutate({ ...settings, ...found }, {
      onSuccess: () => {
        setRead(undefined);
        toast.success(say('workshop.kept'));
      },
    }); // prettier-ignore
  return (
    <section className="card-slab space-y-3" aria-label={say('workshop.settingsFile')}>
      <h2 className="text-2xl">{say('workshop.settingsFile')}</h2>
      <p className="quiet">{say('workshop.settingsFileHow')}</p>
      <div className="flex flex-wrap gap-2">
        <Button onClick={() => saveFile(`${say('workshop.settingsName')}.json`, settingsFile(settings), 'application/json')}>
          {say('workshop.settingsOut')}
        </Button>
        <FileButton
          label={say('workshop.settingsFile')}
          accept=".json,application/json"
          onFile={async (file) => {
            save.reset();
            setRead(await readSettingsFile(file));
          }}
        >
          {say('workshop.settingsIn')}
        </FileButton>
      </div>
      {typeof read === 'string' && <p role="alert">{say(notRead(read))}</p>}
      {count !== undefined && (
        <div role="status" className="space-y-2">
          <p>{say('workshop.settingsDiffer', { count })}</p>
          {count > 0 && (
            <Button look="strong" disabled={save.isPending} onClick={take}>
              {say('workshop.settingsTake')}
            </Button>
          )}
        </div>
      )}
      <Failure error={save.error} />
    </section>
  );
} // prettier-ignore
