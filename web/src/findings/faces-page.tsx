import { useState } from 'react';
import { Link, useSearchParams } from 'react-router';
import { useQuery } from '@tanstack/react-query';
import { quantity } from '@dewpot/core/units';
import type { CountedFace } from '@dewpot/contract';
import { facesQuery } from '../api/findings';
import { PageHead } from '../ui/page-head';
import { SelectField } from '../ui/select-field';
import { Busy, Empty, Failure } from '../ui/states';
import { useSay } from '../ui/say';
import { FacesDrawing } from './faces-drawing';

/** Two faces whose voids were counted, one over the other at the same scale, with a slider between them. */
export function FacesPage() {
  const say = useSay();
  const [search, setSearch] = useSearchParams();
  const { data: faces, error, isPending } = useQuery(facesQuery);
  const of = (name: string) => faces?.find(({ picture }) => picture.id === search.get(name));
  const ofCast = faces?.find(({ castId }) => castId === search.get('cast'));
  const left = of('left') ?? ofCast ?? faces?.[0];
  const right = of('right') ?? faces?.find(({ mix, castId }) => castId !== left?.castId && mix === left?.mix) ?? faces?.find((face) => face !== left);
  const choose = (name: string, id: string) => {
    const next = new URLSearchParams(search);
    next.set(name, id);
    setSearch(next, { replace: true });
  };
  return (
    <div className="mx-auto max-w-7xl space-y-4 p-4">
      <PageHead title={say('findings.faces')} />
      {isPending && <Busy what={say('findings.busyFaces')} />}
      <Failure error={error} />
      {faces && left && right && (
        <div className="grid grid-cols-[minmax(0,1fr)] items-start gap-4 lg:grid-cols-[minmax(0,1.6fr)_minmax(0,1fr)]">
          <Beside left={left} right={right} />
          <div className="space-y-4">
            <FaceSlab title={say('findings.leftFace')} face={left} faces={faces} onChange={(id) => choose('left', id)} />
            <FaceSlab title={say('findings.rightFace')} face={right} faces={faces} onChange={(id) => choose('right', id)} />
          </div>
        </div>
      )}
      {faces && faces.length < 2 && (
        <Empty title={say('findings.fewFaces')}>
          <p>{say('findings.fewFacesHow')}</p>
        </Empty>
      )}
    </div>
  );
} // prettier-ignore

function Beside({ left, right }: { left: CountedFace; right: CountedFace }) {
  const say = useSay();
  const [at, setAt] = useState(50);
  return (
    <section className="card-slab space-y-2" aria-label={say('findings.faces')}>
      <FacesDrawing left={left} right={right} at={at / 100} label={say('findings.facesDrawn', { left: left.code, right: right.code })} />
      <input type="range" className="range w-full" min={0} max={100} value={at} aria-label={say('findings.slideBetween')} aria-valuetext={say('findings.shareOfLeft', { share: at, left: left.code })} onChange={({ target }) => setAt(Number(target.value))} />
      <div className="flex justify-between text-sm font-semibold">
        <span>{left.code}</span>
        <span>{right.code}</span>
      </div>
      <p className="quiet text-sm">{say('findings.sameScale')}</p>
    </section>
  );
} // prettier-ignore

/** One of the two faces: which, and what was counted on it. */
function FaceSlab({ title, face, faces, onChange }: { title: string; face: CountedFace; faces: readonly CountedFace[]; onChange: (picture: string) => void }) {
  const say = useSay();
  const options = faces.map(({ picture, code, mould, mix }) => ({ value: picture.id, label: say('findings.faceNamed', { code, mould, mix }) }));
  return (
    <section className="card-slab space-y-2" aria-label={title}>
      <SelectField label={title} value={face.picture.id} options={options} onChange={onChange} />
      <p className="numeral text-3xl">{say('findings.gradeOfFive', { grade: face.grade })}</p>
      <dl className="grid grid-cols-[1fr_auto] gap-x-4 gap-y-1">
        <dt>{say('findings.areaShare')}</dt>
        <dd className="numeral text-right">{say.value(quantity(face.share * 100, '%', 2))}</dd>
        <dt>{say('findings.on100')}</dt>
        <dd className="numeral text-right">{Math.round(face.per100)}</dd>
      </dl>
      <Link className="link text-sm" to={`/casts/${face.castId}`}>
        {face.code}
      </Link>
    </section>
  );
} // prettier-ignore
