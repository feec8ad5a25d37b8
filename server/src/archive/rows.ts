import type { PatternBody } from '@dewpot/contract';
import type { AmbientAsideEntity, AmbientReadingEntity, PlaceEntity } from '../ambient/ambient.entities.js';
import type { CalendarPlanEntity, OrderEntity } from '../calendar/calendar.entities.js';
import type { CastEntity, CastEventEntity, CastPictureEntity } from '../casts/casts.entities.js';
import type { DemouldLessonEntity } from '../curing/curing.entities.js';
import type { TrialEntity } from '../findings/trials.entities.js';
import type { ForgottenLessonEntity } from '../lessons/lessons.entities.js';
import type { LotEntity, MaterialEntity, ScoopEntity, StockEntity } from '../materials/materials.entities.js';
import type { MixEntity, StoredMix, TrialTileEntity } from '../mixes/mixes.entities.js';
import type { CostingEntity } from '../money/money.entities.js';
import type { FindingAsideEntity, MouldCopyEntity, MouldEntity, MouldPictureEntity, TubEntity } from '../moulds/moulds.entities.js'; // prettier-ignore
import type { PatternEntity } from '../patterns/patterns.entities.js';
import type { PourEntity, RunEventEntity } from '../pours/pours.entities.js';
import type { SealLessonEntity } from '../sealing/sealing.entities.js';
import type { StoredTint, SwatchEntity, TintEntity } from '../tints/tints.entities.js';
import type { PastPersonEntity, WorkshopEntity } from '../accounts/accounts.entities.js';

/** A row as an archive has it: its workshop is that of the whole archive. */
type Kept<Row> = Omit<Row, 'workshopId'>;

/** A version of a recipe. */
interface Revision<Body> {
  readonly id: string;
  readonly of: string;
  readonly revision: number;
  readonly name: string;
  readonly body: Body;
  readonly madeAt: Date;
}

/** A row with a picture: the picture is a file of its own, named by the checksum (SHA-256) of what is in it. */
type Pictured<Row> = Omit<Kept<Row>, 'photo'> & { readonly picture: string };

/** A line of each file of records. `scripts/archive-schema.mjs` makes the schema from this. */
export interface ArchiveRows {
  readonly workshop: Pick<WorkshopEntity, 'id' | 'settings' | 'poursCounted'>;
  /** Whoever did something that is on record. */
  readonly people: Kept<PastPersonEntity>;
  readonly scoops: Kept<ScoopEntity>;
  readonly materials: Kept<MaterialEntity>;
  readonly lots: Kept<LotEntity>;
  readonly stock: Kept<StockEntity>;
  readonly mixes: Kept<MixEntity>;
  readonly mixRevisions: Revision<StoredMix>;
  readonly trialTiles: Kept<TrialTileEntity>;
  readonly tints: Kept<TintEntity>;
  readonly tintRevisions: Revision<StoredTint>;
  readonly swatches: Kept<SwatchEntity>;
  readonly patterns: Kept<PatternEntity>;
  readonly patternRevisions: Revision<PatternBody>;
  readonly tubs: Kept<TubEntity>;
  readonly moulds: Kept<MouldEntity>;
  readonly mouldCopies: Kept<MouldCopyEntity>;
  readonly mouldPictures: Pictured<MouldPictureEntity>;
  readonly findingsAside: Kept<FindingAsideEntity>;
  readonly costings: Kept<CostingEntity>;
  readonly places: Omit<Kept<PlaceEntity>, 'latestReading'>;
  readonly ambientAsides: Kept<AmbientAsideEntity>;
  readonly ambientReadings: Kept<AmbientReadingEntity>;
  readonly trials: Kept<TrialEntity>;
  readonly orders: Kept<OrderEntity>;
  readonly calendarPlans: Kept<CalendarPlanEntity>;
  readonly demouldLessons: Kept<DemouldLessonEntity>;
  readonly sealLessons: Kept<SealLessonEntity>;
  readonly forgottenLessons: Kept<ForgottenLessonEntity>;
  readonly pours: Kept<PourEntity>;
  readonly runEvents: Kept<RunEventEntity>;
  readonly casts: Kept<CastEntity>;
  readonly castEvents: Kept<CastEventEntity>;
  readonly castPictures: Pictured<CastPictureEntity>;
}
