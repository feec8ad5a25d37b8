import type { Inset, MouldShape, PieceKind } from '../../geometry/moulds/index.js';
import type { FindMaterial, Lot, Scoop, ScoopStep } from '../../mixing/materials/index.js';
import type { MeasuringWay } from '../../mixing/measuring/index.js';
import type { Grade, KeptMix } from '../../mixing/mixes/index.js';
import type { Colouring, KeptTint, KnownColours } from '../../mixing/tints/index.js';
import type { BenchRecord, Pace } from '../bench/index.js';
import type { MouldTraits } from '../judging/index.js';
import type { Finish, FinishRecord, MixLessons, PourLog, PourPlan } from '../pours/index.js';

/** A mould of a workshop as a plan and its judgement need it. */
export interface KeptMould extends MouldTraits {
  readonly id: string;
  readonly name: string;
  readonly shape: MouldShape;
  readonly piece: PieceKind;
}

/** What is chosen of one mould of a pour. */
interface ChosenItem {
  readonly mouldId: string;
  readonly count: number;
  /** Height to which it is filled, mm; to the rim where left out. */
  readonly fillTo?: number;
  /** The mix that fills it, where that is not the pour's own. */
  readonly mixId?: string;
  /** In tints, by their keys. */
  readonly colouring?: Colouring<string>;
  readonly split?: boolean;
  /** Mesh is laid in at half depth; as the mould usually is where it is left out. */
  readonly mesh?: boolean;
  /** Inserts of the mould, by name, that are left out this time. */
  readonly without?: readonly string[];
  readonly inset?: Inset;
  /** The line of an order that it is poured for. */
  readonly orderLine?: string;
}

/** What a person chooses for a pour. */
export interface PourChoices {
  readonly items: readonly ChosenItem[];
  readonly mixId: string;
  readonly grade: Grade;
  /** Mix made beyond what the moulds hold, as a share. */
  readonly spare: number;
  /** Moisture of damp materials, share of dry mass by material id. */
  readonly moisture: Readonly<Record<string, number>>;
  /** The scoop at hand; the workshop's first where it is left out. */
  readonly scoopId?: string;
  readonly heaped?: boolean;
  readonly step: ScoopStep;
  readonly measuring?: MeasuringWay;
  /** °C */
  readonly temperature: number;
  readonly release?: string;
  readonly finish?: Finish;
  /** Pairs of hands at the bench. */
  readonly people?: number;
  /** An earlier pour whose colour it is to match. */
  readonly matches?: string;
}

/** What a run taught of one mix. */
export interface RunLesson {
  readonly mixId: string;
  readonly pace: Pace;
  readonly tries: readonly FinishRecord[];
  /** How it was placed; undefined in pours of before this was kept. */
  readonly bench?: BenchRecord;
}

/** Everything of a workshop that a pour is planned from. */
export interface PourSources {
  readonly moulds: readonly Pick<KeptMould, 'id' | 'name' | 'shape' | 'piece' | 'meshOpening'>[];
  readonly mixes: readonly KeptMix[];
  readonly scoops: readonly Scoop[];
  readonly find: FindMaterial;
  readonly tints: readonly KeptTint[];
  readonly colours: KnownColours;
  readonly lots: readonly Lot[];
  /** What the batches of a mix taught. */
  readonly lessons: (mixId: string) => MixLessons;
  /** What runs at the bench taught. */
  readonly runs: readonly RunLesson[];
  readonly workshop: {
    /** mL */
    readonly bucket: number;
    /** g */
    readonly scaleStep: number;
    /** kg */
    readonly liftLimit: number;
    readonly ballastSandId?: string;
  };
  /** ms */
  readonly now: number;
}

/** What a pour makes of one mix. */
export interface PourPart {
  readonly mixId: string;
  readonly mixName: string;
  /** Which version of the mix it is. */
  readonly mixRevision: number;
  /** How the mix itself dries, #rrggbb. */
  readonly colour: string;
  /** Which of the pour's items it fills, in the order of its plan. */
  readonly items: readonly number[];
  /** Copies of moulds, mix and scoop as they were. */
  readonly plan: PourPlan;
  /** By how much its finishing windows come later than the handbook's, as earlier runs taught. */
  readonly windows?: number;
  /** What was really used, once it is poured. */
  readonly log?: PourLog;
}
