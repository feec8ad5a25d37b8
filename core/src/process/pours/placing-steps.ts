import { defined } from '../../foundation/math/index.js';
import { msg, type Message, quantity, exactly, type MessageKey } from '../../foundation/units/index.js';
import { rimOf } from '../../geometry/moulds/index.js';
import { setsInMinutes } from '../../mixing/binders/index.js';
import { potLifeAndSet } from '../../mixing/mixes/index.js';
import { WORKABLE_SHARE } from './batches.js';
import { finishesOf, finishShares, type Finish, type FinishKind } from './finishing.js';
import { planLayerWait } from './layer-waits.js';
import { isOneLift, placingOf, type PlacingWay } from './placing.js';
import type { PourItem, PourPlan } from './plan.js';

/** What is done to a mould with the mix: the words of a step at the bench, on the sheet and on paper. */
export type PlacingKey = 'before' | 'first' | 'rest' | 'tap' | 'press' | 'mesh' | 'strike' | 'cover' | FinishKind;

/** One step of placing. */
export interface PlacingStep {
  readonly key: PlacingKey;
  readonly text: Message;
  /** Vessel or tool. */
  readonly tool?: Message;
  /** Minutes that it takes, or in which it is to be done. */
  readonly within?: number;
  /** Minutes after striking off, or after pressing, between which it is done. */
  readonly window?: readonly [from: number, to: number];
}

/** How one kind of mould of a plan is filled. */
export interface Placing {
  /** Which of the plan's items, from 0. */
  readonly item: number;
  readonly name: string;
  readonly way: PlacingWay;
  readonly steps: readonly PlacingStep[];
}

const MINUTES = 60;
/** Under this opening a jug is too wide, mm. */
const NARROW = 60;
const mm = (value: number) => quantity(value, 'mm');

/** What the steps of an item are told from. */
interface Told {
  readonly item: PourItem;
  readonly plan: PourPlan;
  /** Minutes in which a bucket can be placed. */
  readonly placed: number;
  /** Minutes. */
  readonly initialSet: number;
}

type Steps = (told: Told) => PlacingStep[];

const step = (key: PlacingKey, text: Message, over: Omit<PlacingStep, 'key' | 'text'> = {}): PlacingStep => ({ key, text, ...over }); // prettier-ignore

/** How far up a mould is filled: to its rim, or to a line. */
const upTo = ({ shape, fillTo }: PourItem) => ({
  toRim: fillTo === undefined ? 'yes' : 'no',
  line: mm(fillTo ?? rimOf(shape)),
});

/** Handfuls that are tamped one by one. */
const HANDFUL = { handful: exactly(25, 'mm') };

/** What a mouth lets in. */
function jugFor({ shape: { outer, cores } }: PourItem): Message {
  const across = 'topDiameter' in outer ? outer.topDiameter : Infinity;
  const core = cores[0]?.solid;
  const inner = core && 'topDiameter' in core ? core.topDiameter : 0;
  return (across - inner) / 2 < NARROW / 2 || across < NARROW ? msg('pours.jugWithSpout') : msg('pours.jug');
}

const TAP = msg('pours.tapOrVibrate');

/** What goes in at once, or as a first lift and the rest. */
function lifts(
  { item, plan }: Told,
  tool: Message,
  [first, rest, once]: readonly [MessageKey, MessageKey, MessageKey],
): PlacingStep[] {
  const values = { ...upTo(item), ...HANDFUL };
  if (isOneLift(item, plan)) return [step('first', msg(once, values), { tool })];
  return [step('first', msg(first, HANDFUL), { tool }), step('rest', msg(rest, upTo(item)), { tool })];
}

const tapping = ({ plan }: Told) => step('tap', setsInMinutes(plan.binderClass) ? msg('pours.jogAtOnce') : TAP);

const solid: Steps = (told) => [
  ...lifts(told, jugFor(told.item), ['pours.solidFirst', 'pours.solidRest', 'pours.solidOnce']),
  tapping(told),
];

const roundCore: Steps = (told) => [
  step('before', msg('pours.coreInMiddle')),
  ...lifts(told, jugFor(told.item), ['pours.coreFirst', 'pours.coreRest', 'pours.coreOnce']),
  tapping(told),
];

const packed: Steps = (told) => [
  ...(told.item.shape.cores.length > 0 ? [step('before', msg('pours.packedCore'))] : []),
  ...lifts(told, msg('pours.glovesAndStick'), ['pours.packedFirst', 'pours.packedRest', 'pours.packedOnce']),
  step('tap', msg('pours.knockSides')),
];

const slab: Steps = (told) => [
  ...lifts(told, msg('pours.jugOrShovel'), ['pours.slabFirst', 'pours.slabRest', 'pours.slabOnce']),
  step('tap', msg('pours.tapEdges')),
  step('strike', msg('pours.strikeSawing'), { tool: msg('pours.straightEdge') }), // prettier-ignore
];

const panel: Steps = (told) => [
  ...(told.item.shape.inserts.length > 0
    ? [step('before', msg('pours.pipesStand'))] // prettier-ignore
    : []),
  ...lifts(told, msg('pours.jugOrTrowel'), ['pours.panelFirst', 'pours.panelRest', 'pours.panelOnce']),
  step('tap', msg('pours.tapBoard')),
  step('strike', msg('pours.strikeLevel'), { tool: msg('pours.straightEdge') }),
];

const strips: Steps = ({ item }) => [
  step('before', msg('pours.stripTight')),
  step('first', msg('pours.stripsFill', upTo(item)), { tool: msg('pours.smallJugOrTrowel') }),
  step('tap', msg('pours.knockBoard')),
  step('strike', msg('pours.strikeWithStrip'), { tool: msg('pours.straightEdge') }),
];

const leaf: Steps = ({ item: { shape } }) => {
  const { middle, edge } = shape.outer.kind === 'leaf' ? shape.outer : { middle: 20, edge: 12 };
  return [
    step('before', msg('pours.leafLies')),
    step('press', msg('pours.leafPress', { middle: mm(middle), edge: mm(edge) }), { tool: msg('pours.glovedHands') }), // prettier-ignore
    step('tap', msg('pours.tryPinLeaf'), { tool: msg('pours.pinMarkedBoth') }),
  ];
};

const pressed =
  (order: MessageKey): Steps =>
  ({ item: { shape, name } }) => [
    step('before', msg('pours.standDowel', { name, thickness: mm(defined(shape.pressed).thickness) })), // prettier-ignore
    step('press', msg(order, { thickness: mm(defined(shape.pressed).thickness) }), { tool: msg('pours.glovedHands') }), // prettier-ignore
    step('tap', msg('pours.tryPinShell'), {
      tool: msg('pours.markedPin'),
    }),
  ];

const ways: Record<PlacingWay, Steps> = {
  'poured solid': solid,
  'poured round a core': roundCore,
  packed,
  slab,
  panel,
  'strips on a board': strips,
  'leaf on sand': leaf,
  'pressed over a form': pressed('pours.pressOver'), // prettier-ignore
  'pressed inside a form': pressed('pours.pressInside'),
  'pressed against a form': pressed('pours.pressAgainst'),
};

const finishTexts: Record<FinishKind, readonly [text: Message, tool: Message]> = {
  smooth: [msg('pours.finishSmooth'), msg('pours.gloveAndBrush')],
  float: [msg('pours.finishFloat'), msg('pours.float')],
  'first-edge': [msg('pours.finishFirstEdge'), msg('pours.edger')],
  'second-edge': [msg('pours.finishSecondEdge'), msg('pours.edger')],
  trowel: [msg('pours.finishTrowel'), msg('pours.steelTrowel')],
  broom: [msg('pours.finishBroom'), msg('pours.softBroom')],
};

/** Mesh between two lifts: the second goes on while the first is plastic. */
function meshStep({ plan }: Told): PlacingStep {
  const { to } = planLayerWait(plan, 'blended');
  return step('mesh', msg('pours.layMesh', { cover: exactly(12, 'mm') }), { within: to.value * MINUTES, tool: msg('pours.cutMesh') }); // prettier-ignore
}

/** What colours and chips change. */
function colourSteps({ item: { colouring }, plan: { mix } }: Told): PlacingStep[] {
  const found: PlacingStep[] = [];
  if (colouring?.kind === 'banded') found.push(step('before', msg('pours.layersHow')));
  if (colouring?.kind === 'marbled') found.push(step('before', msg('pours.marbledHow')));
  if (mix.doses?.some(({ material }) => material.additive === 'chips'))
    found.push(step('before', msg('pours.chipsHow'))); // prettier-ignore
  return found;
}

function togetherStep({ item, plan, placed }: Told): PlacingStep[] {
  const several = item.count > 1 || plan.items.length > 1;
  if (setsInMinutes(plan.binderClass))
    return [step('before', msg('pours.allAtHand', { several: several ? 'yes' : 'no' }), { within: placed })]; // prettier-ignore
  if (!several || item.shape.pressed) return [];
  return [step('before', msg('pours.fillFirstLines'), { within: placed })]; // prettier-ignore
}

/** How each kind of mould of a plan is filled, step by step; windows by the initial set at the bench. */
export function placingsOf(plan: PourPlan, finish: Finish = 'broom', windowFactor = 1): Placing[] {
  const { potLife, initialSet } = potLifeAndSet(plan.mix, plan.binderClass, plan.temperature);
  return plan.items.map((item, at) => {
    const way = placingOf(item, plan);
    const told: Told = { item, plan, placed: WORKABLE_SHARE * potLife.value, initialSet: initialSet.value * MINUTES };
    const all = [...togetherStep(told), ...colourSteps(told), ...ways[way](told)];
    const mesh = item.mesh ? [meshStep(told)] : [];
    const first = all.findIndex(({ key }) => key === 'first' || key === 'press');
    const finishes = finishesOf(item.piece, item.shape.pressed !== undefined, finish).map((kind): PlacingStep => {
      const [from, to] = finishShares[kind].map((share) => share * told.initialSet * windowFactor);
      const [text, tool] = finishTexts[kind];
      return step(kind, text, { tool, window: [defined(from), defined(to)] });
    });
    const cover = step('cover', msg('pours.coverIt'));
    return { item: at, name: item.name, way, steps: [...all.slice(0, first + 1), ...mesh, ...all.slice(first + 1), ...finishes, cover] }; // prettier-ignore
  });
}
