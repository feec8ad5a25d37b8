import {
  InvitationEntity,
  WorkshopEntity,
  PastPersonEntity,
  PersonEntity,
  SessionEntity,
} from '../accounts/accounts.entities.js';
import {
  MouldEntity,
  MouldCopyEntity,
  MouldPictureEntity,
  TubEntity,
  FindingAsideEntity,
} from '../moulds/moulds.entities.js';
import { MaterialEntity, LotEntity, ScoopEntity, StockEntity } from '../materials/materials.entities.js';
import { MixEntity, MixRevisionEntity, TrialTileEntity } from '../mixes/mixes.entities.js';
import { TintEntity, TintRevisionEntity, SwatchEntity } from '../tints/tints.entities.js';
import { PatternEntity, PatternRevisionEntity } from '../patterns/patterns.entities.js';
import { PhotoEntity } from '../pictures/photos.entities.js';
import { PourEntity, RunEventEntity } from '../pours/pours.entities.js';
import { CastEntity, CastEventEntity, CastPictureEntity } from '../casts/casts.entities.js';
import { BenchScaleEntity } from '../devices/devices.entities.js';
import { PlaceEntity, AmbientAsideEntity, AmbientReadingEntity } from '../ambient/ambient.entities.js';
import { DemouldLessonEntity } from '../curing/curing.entities.js';
import { SealLessonEntity } from '../sealing/sealing.entities.js';
import { KeptWaysEntity } from '../findings/findings.entities.js';
import { TrialEntity } from '../findings/trials.entities.js';
import { ForgottenLessonEntity } from '../lessons/lessons.entities.js';
import { CostingEntity } from '../money/money.entities.js';
import { CalendarKeyEntity, CalendarPlanEntity, CasterWeekEntity, OrderEntity } from '../calendar/calendar.entities.js';

import { AuditEntryEntity } from '../audit/audit.entities.js';
import { MailEntity } from '../mail/mail.entities.js';
import { WebhookDeliveryEntity, WebhookEntity } from '../webhooks/webhooks.entities.js';

/** Every table. */
export const entities = [
  WorkshopEntity,
  PersonEntity,
  PastPersonEntity,
  InvitationEntity,
  AuditEntryEntity,
  MailEntity,
  WebhookEntity,
  WebhookDeliveryEntity,
  SessionEntity,
  MouldEntity,
  MouldCopyEntity,
  MouldPictureEntity,
  TubEntity,
  PhotoEntity,
  FindingAsideEntity,
  MaterialEntity,
  LotEntity,
  ScoopEntity,
  StockEntity,
  MixEntity,
  MixRevisionEntity,
  TrialTileEntity,
  TintEntity,
  TintRevisionEntity,
  SwatchEntity,
  PatternEntity,
  PatternRevisionEntity,
  PourEntity,
  TrialEntity,
  KeptWaysEntity,
  CostingEntity,
  RunEventEntity,
  CastEntity,
  CastEventEntity,
  CastPictureEntity,
  BenchScaleEntity,
  PlaceEntity,
  AmbientAsideEntity,
  AmbientReadingEntity,
  DemouldLessonEntity,
  SealLessonEntity,
  ForgottenLessonEntity,
  CalendarKeyEntity,
  CalendarPlanEntity,
  CasterWeekEntity,
  OrderEntity,
];
