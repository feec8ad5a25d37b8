import { Module, type DynamicModule } from '@nestjs/common';
import { APP_FILTER, APP_GUARD, APP_INTERCEPTOR } from '@nestjs/core';
import { ThrottlerGuard, ThrottlerModule } from '@nestjs/throttler';
import { AccountsModule } from './accounts/accounts.module.js';
import { SessionGuard } from './accounts/guard.js';
import { AmbientModule } from './ambient/index.js';
import { ArchiveModule } from './archive/archive.module.js';
import { AuditModule, AuditTrail } from './audit/index.js';
import { BridgeModule } from './bridge/bridge.module.js';
import { CalendarModule } from './calendar/index.js';
import { AssemblyModule } from './assembly/index.js';
import { CastsModule } from './casts/index.js';
import { CuringModule } from './curing/index.js';
import { SealingModule } from './sealing/index.js';
import type { ServerConfig } from './config.js';
import { DevicesModule } from './devices/devices.module.js';
import { DatabaseGuard } from './health/database-health.js';
import { FindingsModule } from './findings/index.js';
import { HealthModule } from './health/health.module.js';
import { CrowdGuard } from './http/crowd.js';
import { ProblemFilter } from './http/problem-filter.js';
import { Unchanged } from './http/unchanged.js';
import { WorkshopTransaction } from './http/workshop-transaction.js';
import { rate } from './http/rate.js';
import { InfrastructureModule } from './infrastructure.module.js';
import { LessonsModule } from './lessons/index.js';
import { MailModule } from './mail/index.js';
import { MaterialsModule } from './materials/index.js';
import { MixesModule } from './mixes/index.js';
import { MoneyModule } from './money/index.js';
import { MouldsModule } from './moulds/index.js';
import { PatternsModule } from './patterns/index.js';
import { PicturesModule } from './pictures/index.js';
import { PictureUpload } from './pictures/takes-picture.js';
import { PoursModule } from './pours/pours.module.js';
import { ScriptApiModule } from './script-api/script-api.module.js';
import { SearchModule } from './search/search.module.js';
import { TintsModule } from './tints/index.js';
import { WebhooksModule } from './webhooks/webhooks.module.js';

/** A module for each stage of the work. */
export const stageModules = [
  AccountsModule,
  AmbientModule,
  ArchiveModule,
  AssemblyModule,
  AuditModule,
  BridgeModule,
  CalendarModule,
  CastsModule,
  CuringModule,
  DevicesModule,
  FindingsModule,
  HealthModule,
  LessonsModule,
  MailModule,
  MaterialsModule,
  MixesModule,
  MoneyModule,
  MouldsModule,
  PatternsModule,
  PicturesModule,
  PoursModule,
  ScriptApiModule,
  SealingModule,
  SearchModule,
  TintsModule,
  WebhooksModule,
] as const;

/** What each request passes, in this order. */
const passes = [
  { provide: APP_GUARD, useClass: ThrottlerGuard },
  { provide: APP_GUARD, useClass: DatabaseGuard },
  { provide: APP_GUARD, useClass: SessionGuard },
  { provide: APP_GUARD, useClass: CrowdGuard },
  // Before the transaction, so that a slow upload holds no connection.
  { provide: APP_INTERCEPTOR, useClass: PictureUpload },
  // Before the transaction: what has not changed needs none.
  { provide: APP_INTERCEPTOR, useExisting: Unchanged },
  { provide: APP_INTERCEPTOR, useClass: WorkshopTransaction },
  { provide: APP_INTERCEPTOR, useClass: AuditTrail },
  { provide: APP_FILTER, useClass: ProblemFilter },
];

@Module({})
export class AppModule {
  static with(config: ServerConfig): DynamicModule {
    return {
      module: AppModule,
      imports: [
        InfrastructureModule.with(config),
        ThrottlerModule.forRoot([rate('requests').default]),
        ...stageModules,
      ],
      providers: passes,
    };
  }
}
