import { useState } from 'react';
import { Link } from 'react-router';
import { exactly, quantity } from '@dewpot/core/units';
import {
  countVoids,
  leastVoid,
  voidSizes,
  type PhotoPixels,
  type PhotoPoint,
  type FoundVoids,
  type VoidCount,
  type VoidDoubt,
  type VoidMark,
  type VoidPatch,
} from '@dewpot/core/photos';
import { v7 as uuid } from 'uuid';
import type { VoidsCounted } from '@dewpot/core/casts';
import { useCastEvent, useSendCastPicture } from '../api/cast-writes';
import { Button } from '../ui/button';
import { BANK_CARD } from '../ui/photo-tracing';
import { useAddress } from '../ui/picture';
import { QuantityField } from '../ui/quantity-field';
import { useSay } from '../ui/say';
import { Failure } from '../ui/states';
import { toast } from '../ui/toast';
import type { Work } from '../workers/use-file-work';
import { VoidDrawing, type VoidPlan } from './void-drawing';

/** A photo of a face with its pixels. */
export interface FacePhoto {
  readonly file: File;
  readonly pixels: PhotoPixels;
}

/** The long side of a bank card, mm: something that most have at hand. */
const KNOWN = BANK_CARD.cardWidth;

/** Where things stand on a photo before anybody has moved them. */
const firstPlan = ({ width, height }: PhotoPixels): VoidPlan => ({
  ends: [[0.1 * width, 0.9 * height], [0.5 * width, 0.9 * height]],
  corners: [[0.2 * width, 0.2 * height], [0.8 * width, 0.8 * height]],
  marks: [],
}); // prettier-ignore

const distance = ([[ax, ay], [bx, by]]: VoidPlan['ends']) => Math.hypot(bx - ax, by - ay);

/** The patch between two corners, px. */
function patchOf({ corners: [[ax, ay], [bx, by]] }: VoidPlan, scale: number): VoidPatch {
  const [x, y] = [Math.round(Math.min(ax, bx)), Math.round(Math.min(ay, by))];
  return { x, y, width: Math.round(Math.abs(bx - ax)), height: Math.round(Math.abs(by - ay)), scale };
}

/** Whether a place is on the patch: what lies beside it is not counted. */
const holds = ({ x, y, width, height }: VoidPatch, [px, py]: PhotoPoint) =>
  px >= x && px <= x + width && py >= y && py <= y + height;

/** A tapped mark goes, a tapped place gets one as large as the smallest that is counted. */
function tapped(marks: readonly VoidMark[], [x, y]: PhotoPoint, scale: number): VoidMark[] {
  const near = marks.filter((one) => Math.hypot(one.x - x, one.y - y) <= Math.max(one.diameter * scale * 0.75, 6));
  return near.length > 0 ? marks.filter((one) => !near.includes(one)) : [...marks, { x, y, diameter: leastVoid(scale) }];
} // prettier-ignore

/** A known length and a patch told on a photo, its voids found, corrected by tapping, and counted. */
export function VoidCounting({ photo, work, castId }: { photo: FacePhoto; work: Work; castId: string | null }) {
  const say = useSay();
  const { file, pixels } = photo;
  const address = useAddress(file);
  const [known, setKnown] = useState(KNOWN);
  const [plan, setPlan] = useState(() => firstPlan(pixels));
  const [found, setFound] = useState<{ readonly doubt?: VoidDoubt }>();
  const scale = distance(plan.ends) / known;
  const patch = patchOf(plan, scale);
  const look = async () => {
    const answer = await work.run<FoundVoids>((files, progress) => files.voids(pixels, patch, progress));
    if (!answer) return;
    const { marks, ...doubted } = answer;
    setPlan({ ...plan, marks });
    setFound(doubted);
  };
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] items-start gap-4 lg:grid-cols-[minmax(0,1.6fr)_minmax(0,1fr)]">
      <section className="card-slab p-2" aria-label={say('ui.thePhoto')}>
        <VoidDrawing address={address} size={pixels} plan={plan} scale={scale} onChange={setPlan} onTap={(at) => found && holds(patch, at) && setPlan({ ...plan, marks: tapped(plan.marks, at, scale) })} />
      </section>
      <section className="card-slab space-y-4" aria-label={say('findings.voidsTitle')}>
        <p className="quiet text-sm">{say('findings.knownLengthHow')}</p>
        <QuantityField label={say('findings.knownLength')} name="known" dimension="length" value={known} onChange={(value = KNOWN) => setKnown(value)} />
        <Button look={found ? 'soft' : 'main'} size="tall" className="w-full" disabled={work.done !== undefined} onClick={() => void look()}>
          {say('findings.findThem')}
        </Button>
        {found?.doubt && <p role="status" className="border-warning border-l-4 pl-2">{say('findings.countDoubted', { doubt: found.doubt })}</p>}
        {found && <Counted count={countVoids(plan.marks, patch)} photo={photo} patch={patch} castId={castId} />}
      </section>
    </div>
  );
} // prettier-ignore

/** What the voids come to, and where it is kept. */
function Counted({ count: { counts, share, per100, grade, from }, photo, patch, castId }: { count: VoidCount; photo: FacePhoto; patch: VoidPatch; castId: string | null }) {
  const say = useSay();
  const { scale } = patch;
  const size = ({ from: least, to }: (typeof voidSizes)[number]) =>
    to === Infinity ? say('findings.sizeOver', { from: exactly(least, 'mm') }) : say('findings.sizeFromTo', { from: exactly(least, 'mm'), to: exactly(to, 'mm') });
  return (
    <div className="space-y-3">
      <p className="numeral text-4xl">{say('findings.gradeOfFive', { grade })}</p>
      <dl className="grid grid-cols-[1fr_auto] gap-x-4 gap-y-1">
        <dt>{say('findings.areaShare')}</dt>
        <dd className="numeral text-right">{say.value(quantity(share * 100, '%', 2))}</dd>
        <dt>{say('findings.on100')}</dt>
        <dd className="numeral text-right">{Math.round(per100)}</dd>
        {voidSizes.map((one, i) => (
          <div key={one.from} className="col-span-2 grid grid-cols-subgrid">
            <dt>{size(one)}</dt>
            <dd className="numeral text-right">{counts[i]}</dd>
          </div>
        ))}
      </dl>
      {from > 1 && <p className="border-warning border-l-4 pl-2 text-sm">{say('findings.coarsePhoto', { scale: Math.round(scale * 10) / 10, least: exactly(from, 'mm') })}</p>}
      <p className="quiet text-sm">{say('findings.tapMarks')}</p>
      {castId && <KeepCount castId={castId} photo={photo} grade={grade} counted={{ share, per100, ...placeOf(patch, photo.pixels) }} />}
    </div>
  );
} // prettier-ignore

/** Where a patch lies, as shares of its photo, and how wide it is on the piece, mm. */
const placeOf = ({ x, y, width, height, scale }: VoidPatch, photo: PhotoPixels) => ({
  patch: { x: x / photo.width, y: y / photo.height, width: width / photo.width, height: height / photo.height },
  across: width / scale,
});

/** Keeps a count with its cast, and the photo with it, so that another face can be put beside it. */
function KeepCount({ castId, photo: { file }, grade, counted }: { castId: string; photo: FacePhoto; grade: number; counted: VoidsCounted }) {
  const say = useSay();
  const keep = useCastEvent();
  const add = useSendCastPicture();
  const [eventId] = useState(() => uuid());
  const save = async () => {
    await keep.mutateAsync({ castId, event: { id: eventId, at: Date.now(), type: 'bubbles', face: 'face', grade, counted } });
    await add.mutateAsync({ castId, file, eventId });
    toast.success(say('findings.gradeKept', { grade }));
  };
  return (
    <>
      <Button size="tall" className="w-full" disabled={keep.isPending || add.isPending || add.isSuccess} onClick={() => void save().catch(() => undefined)}>
        {say('findings.keepGrade', { grade })}
      </Button>
      {add.isSuccess && <Link className="link text-sm" to={`/findings/faces?cast=${castId}`}>{say('findings.putBeside')}</Link>}
      <Failure error={keep.error ?? add.error} />
    </>
  );
} // prettier-ignore
