import { Module, type DynamicModule } from '@nestjs/common';
import { APP_FILTER, APP_GUARD, APP_INTERCEPTOR } from '@nestjs/core';
import { ThrottlerGuard, ThrottlerModule } from '@nestjs/throttler';
import { TypeOrmModule } from '@nestjs/typeorm';
import { AccountsController } from './accounts/accounts.controller.js';
import { SessionGuard } from './accounts/guard.js';
import { PeopleController } from './accounts/people.controller.js';
import { OwnAccountController } from './accounts/own-account.controller.js';
import { People } from './accounts/people.service.js';
import { Sessions } from './accounts/sessions.js';
import { SignInTries } from './accounts/sign-in-tries.js';
import { CalendarController } from './calendar/calendar.controller.js';
import { CastPicturesController } from './casts/cast-pictures.controller.js';
import { CastsController } from './casts/casts.controller.js';
import { ArticlesController } from './casts/articles.controller.js';
import { ArticlesService } from './casts/articles.service.js';
import { CastRecordsService } from './casts/cast-records.service.js';
import { CastsService } from './casts/casts.service.js';
import { DrynessService } from './casts/dryness.service.js';
import { DuesService } from './casts/dues.service.js';
import { LiftOutsController } from './casts/lift-outs.controller.js';
import { LiftOutsService } from './casts/lift-outs.service.js';
import { OverrulesController } from './casts/overrules.controller.js';
import { ProductsService } from './casts/products.service.js';
import { RefitsService } from './casts/refits.service.js';
import { SealLessonsService } from './casts/seal-lessons.service.js';
import { TilesController } from './casts/tiles.controller.js';
import { WeighedNowService } from './casts/weighed-now.service.js';
import { Climates, ReadingsService } from './climate/index.js';
import { PlacesController } from './climate/places.controller.js';
import { CalculationPool } from './calculation/calculation-pool.js';
import { CONFIG, type ServerConfig } from './config.js';
import { appOptions } from './db/connection.js';
import { News } from './db/news.js';
import { Rows } from './db/rows.js';
import { ScaleController } from './devices/scale.controller.js';
import { Jobs } from './jobs/jobs.service.js';
import { CrowdGuard } from './http/crowd.js';
import { DatabaseGuard, DatabaseHealth } from './health/database-health.js';
import { HealthController } from './health/health.controller.js';
import { ProblemFilter } from './http/problem-filter.js';
import { Streams } from './http/streams.js';
import { WorkshopTransaction } from './http/workshop-transaction.js';
import { MixesController } from './mixes/mixes.controller.js';
import { MixFilesService } from './mixes/mix-files.service.js';
import { MixesService } from './mixes/mixes.service.js';
import { FindingsAsideController } from './moulds/findings-aside.controller.js';
import { FindingsAsideService } from './moulds/findings-aside.service.js';
import { MouldsController } from './moulds/moulds.controller.js';
import { MouldsService } from './moulds/moulds.service.js';
import { PictureUpload } from './pictures/takes-picture.js';
import { PicturesController } from './moulds/pictures.controller.js';
import { PicturesService } from './moulds/pictures.service.js';
import { TubsController } from './moulds/tubs.controller.js';
import { TubsService } from './moulds/tubs.service.js';
import { PoursController } from './pours/pours.controller.js';
import { PoursService } from './pours/pours.service.js';
import { RunStreamController } from './pours/run-stream.controller.js';
import { RunsService } from './pours/runs.service.js';
import { questionControllers } from './reckon/index.js';
import { LotsService } from './stores/lots.service.js';
import { SwatchesController, TintsController } from './tints/tints.controller.js';
import { TintFilesService } from './tints/tint-files.service.js';
import { TintsService } from './tints/tints.service.js';
import { StoresController } from './stores/stores.controller.js';
import { StoresService } from './stores/stores.service.js';

@Module({})
export class AppModule {
  static with(config: ServerConfig): DynamicModule {
    return {
      module: AppModule,
      imports: [
        TypeOrmModule.forRoot({ ...appOptions(config.ownerUrl), retryAttempts: 20, retryDelay: 500 }),
        ThrottlerModule.forRoot([{ limit: Number(process.env.DEWPOT_REQUEST_LIMIT ?? 600), ttl: 60_000 }]),
      ],
      controllers: [
        AccountsController,
        ArticlesController,
        CalendarController,
        CastPicturesController,
        CastsController,
        FindingsAsideController,
        HealthController,
        LiftOutsController,
        MixesController,
        MouldsController,
        OverrulesController,
        OwnAccountController,
        PeopleController,
        PicturesController,
        PlacesController,
        PoursController,
        RunStreamController,
        ScaleController,
        StoresController,
        SwatchesController,
        TintsController,
        TilesController,
        TubsController,
        ...questionControllers,
      ],
      providers: [
        { provide: CONFIG, useValue: config },
        CalculationPool,
        Rows,
        News,
        DatabaseHealth,
        Jobs,
        Streams,
        People,
        Sessions,
        SignInTries,
        ArticlesService,
        CastRecordsService,
        CastsService,
        DrynessService,
        ProductsService,
        RefitsService,
        SealLessonsService,
        WeighedNowService,
        Climates,
        DuesService,
        LiftOutsService,
        LotsService,
        MixesService,
        MixFilesService,
        FindingsAsideService,
        MouldsService,
        PicturesService,
        PoursService,
        ReadingsService,
        RunsService,
        StoresService,
        TintFilesService,
        TintsService,
        TubsService,
        { provide: APP_GUARD, useClass: ThrottlerGuard },
        { provide: APP_GUARD, useClass: DatabaseGuard },
        { provide: APP_GUARD, useClass: SessionGuard },
        { provide: APP_GUARD, useClass: CrowdGuard },
        // Before the transaction, so that a slow upload holds no connection.
        { provide: APP_INTERCEPTOR, useClass: PictureUpload },
        { provide: APP_INTERCEPTOR, useClass: WorkshopTransaction },
        { provide: APP_FILTER, useClass: ProblemFilter },
      ],
    };
  }
}
