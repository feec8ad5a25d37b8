import { exactly, msg } from '@dewpot/core/units';
import { defined } from '@dewpot/core/math';
import { mouldMaterials, releases, releasesFor, type MouldMaterial, type ReleaseName } from '@dewpot/core/moulds';
import { SelectField } from '../ui/select-field';
import { useSay } from '../ui/say';

/** What a caster's own casts from this mould say of a release. */
export interface ReleaseRecord {
  readonly release: string;
  readonly clean: number;
  readonly casts: number;
}

/** What lets the cast go of this mould: the handbook's choice, what each does, the caster's own record beside it. */
export function ReleaseSlab({
  material,
  release,
  record,
  onChange,
}: {
  material: MouldMaterial;
  release: ReleaseName | undefined;
  record: readonly ReleaseRecord[];
  onChange: (part: { material?: MouldMaterial; release?: ReleaseName }) => void;
}) {
  const say = useSay();
  const suits = releasesFor(material);
  const chosen = release ?? defined(suits[0]);
  const others = (Object.keys(releases) as ReleaseName[]).filter((key) => !suits.includes(key));
  const { does, how, dries } = releases[chosen];
  return (
    <section className="card-slab" aria-label={say('moulds.release')}>
      <h2 className="mb-2 text-xl">{say('moulds.releaseAgent')}</h2>
      <div className="grid gap-3 sm:grid-cols-2">
        <SelectField
          label={say('moulds.mouldMaterial')}
          value={material}
          options={(Object.keys(mouldMaterials) as MouldMaterial[]).map((value) => ({
            value,
            label: mouldMaterials[value],
          }))}
          onChange={(next) => onChange({ material: next })}
        />
        <SelectField
          label={say('moulds.releaseAgent')}
          value={chosen}
          options={[...suits, ...others].map((value) => ({
            value,
            label:
              value === suits[0]
                ? msg('moulds.agentUsual', { agent: releases[value].name })
                : suits.includes(value)
                  ? releases[value].name
                  : msg('moulds.agentUnusual', { agent: releases[value].name }),
          }))}
          onChange={(next) => onChange({ release: next })}
        />
      </div>
      <p className="mt-2">
        {say(how)} {say(does)} {dries > 0 && say('moulds.waitBeforePour', { dries: exactly(dries, 'min') })}
      </p>
      {record.length > 0 && (
        <ul className="quiet mt-1 text-sm">
          {record.map(({ release: name, clean, casts }) => (
            <li key={name}>{say('moulds.hereWithAgent', { name, clean, casts })}</li>
          ))}
        </ul>
      )}
    </section>
  );
}
