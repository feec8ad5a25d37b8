import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { AppModule, stageModules } from '../src/app.module.js';
import { startServer, type Harness } from './harness.js';

type Part = 'imports' | 'controllers' | 'providers' | 'exports';
type Class = new (...args: never[]) => object;
const partsOf = (module: object, part: Part) => (Reflect.getMetadata(part, module) ?? []) as Class[];

/** What each stage offers to the others. */
const offered = {
  AccountsModule: ['People', 'WorkshopsService'],
  AmbientModule: ['PlaceSeriesCache', 'PlacesService', 'ReadingsService', 'UsualMonthsService'],
  ArchiveModule: [],
  CalendarModule: ['CalendarFactsService', 'OrdersService', 'PlansService', 'WeeksService'],
  AssemblyModule: ['ArticlesService'],
  AuditModule: ['AuditService'],
  CastsModule: ['CastRecordsService', 'CastsService', 'DuesService'],
  CuringModule: ['DemouldsService'],
  SealingModule: [
    'DryingLessonsService',
    'DrynessService',
    'ProductsService',
    'RefitsService',
    'SealLessonsService',
    'WeighedNowService',
  ],
  BridgeModule: [],
  DevicesModule: ['BenchScaleService'],
  FindingsModule: ['TrialDealsService'],
  HealthModule: [],
  LessonsModule: ['ForgottenLessons'],
  MailModule: ['OutboxService'],
  MaterialsModule: ['LotsService', 'MaterialsService'],
  MixesModule: ['MixesService'],
  MoneyModule: [],
  MouldsModule: ['MouldsService', 'TubsService'],
  PatternsModule: ['PatternsService'],
  PicturesModule: ['PhotosService'],
  PoursModule: ['PoursService', 'RunsService'],
  ScriptApiModule: [],
  SearchModule: [],
  TintsModule: ['TintsService'],
  WebhooksModule: [],
};

describe('the modules of the server', () => {
  let harness: Harness;
  beforeAll(async () => {
    harness = await startServer();
  });
  afterAll(() => harness.close());

  it('are one for each stage, and offer these services and no more', () => {
    const found = stageModules.map((module) => [module.name, partsOf(module, 'exports').map(({ name }) => name)]);
    expect(Object.fromEntries(found)).toEqual(offered);
    expect(partsOf(AppModule, 'controllers')).toEqual([]);
  });

  it('have each controller and each service once', () => {
    const all = stageModules.flatMap((module) => [...partsOf(module, 'controllers'), ...partsOf(module, 'providers')]);
    expect(new Set(all).size).toBe(all.length);
  });

  it('give what they offer', () => {
    for (const service of stageModules.flatMap((module) => partsOf(module, 'exports')))
      expect(harness.app.get(service, { strict: false })).toBeInstanceOf(service);
  });
});
