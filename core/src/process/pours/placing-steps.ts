import { defined } from '../../foundation/math/index.js';
import { formatQuantity } from '../../foundation/units/index.js';
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
  readonly text: string;
  /** Vessel or tool. */
  readonly tool?: string;
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
const mm = (value: number) => formatQuantity(value, 'mm', 'metric');

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

const step = (key: PlacingKey, text: string, over: Omit<PlacingStep, 'key' | 'text'> = {}): PlacingStep => ({ key, text, ...over }); // prettier-ignore

const line = ({ shape, fillTo }: PourItem) => (fillTo === undefined ? `the rim, ${mm(rimOf(shape))} up` : `the line, ${mm(fillTo)} up`); // prettier-ignore

/** What a mouth lets in. */
function jugFor({ shape: { outer, cores } }: PourItem): string {
  const across = 'topDiameter' in outer ? outer.topDiameter : Infinity;
  const core = cores[0]?.solid;
  const inner = core && 'topDiameter' in core ? core.topDiameter : 0;
  return (across - inner) / 2 < NARROW / 2 || across < NARROW ? 'a small jug with a spout' : 'a jug';
}

const TAP = 'Tap the sides or vibrate 20 to 60 seconds, until the bubbles stop; longer parts the mix.';

/** What goes in at once, or as a first lift and the rest. */
function lifts(
  { item, plan }: Told,
  tool: string,
  [first, rest, once]: readonly [string, string, string],
): PlacingStep[] {
  if (isOneLift(item, plan)) return [step('first', `${once} to ${line(item)}.`, { tool })];
  return [step('first', first, { tool }), step('rest', `${rest} to ${line(item)}.`, { tool })];
}

const tapping = ({ plan }: Told) =>
  step('tap', setsInMinutes(plan.binderClass) ? 'Jog it a few times, at once: it stiffens while you look.' : TAP);

const solid: Steps = (told) => [
  ...lifts(told, jugFor(told.item), [
    'Pour a third into the middle and work it into every corner with a gloved finger or a stick.',
    'Then slowly',
    'Pour slowly, down one side and into the corners first,',
  ]),
  tapping(told),
];

const roundCore: Steps = (told) => [
  step('before', 'See that the core stands in the middle and is weighted: fluid mix lifts it.'),
  ...lifts(told, jugFor(told.item), [
    'Pour a fifth to a third all round the core, work it under and round it with a thin stick.',
    'Look that the core has not moved. Then all round in turn, never on one side alone,',
    'Pour all round the core, a little on each side in turn,',
  ]),
  tapping(told),
];

const packed: Steps = (told) => [
  ...(told.item.shape.cores.length > 0
    ? [step('before', 'See that the core stands in the middle: packing to one side pushes it over.')]
    : []),
  ...lifts(told, 'gloved hands, a tamping stick', [
    'Pack the floor first, in handfuls of about 25 mm, and tamp each with the end of a stick.',
    'Then layer on layer all round, each roughened before the next,',
    'Pack it in handfuls of about 25 mm, each tamped,',
  ]),
  step('tap', 'Knock the sides; a mix this stiff is tamped, not vibrated.'),
];

const slab: Steps = (told) => [
  ...lifts(told, 'a jug or a shovel', [
    'Pour to half, and work it into the edges.',
    'Pour a little over',
    'Pour, into the edges first, and a little over,',
  ]),
  step('tap', 'Tap along the edges, or lift one side and let it drop a few times.'),
  step('strike', 'Draw a straight edge across the rim, sawing as it goes. Wait until the sheen is gone.', { tool: 'a straight edge' }), // prettier-ignore
];

const panel: Steps = (told) => [
  ...(told.item.shape.inserts.length > 0
    ? [step('before', 'See that pipes and blanks stand square and are greased: they are turned, and pulled while the panel is green.')] // prettier-ignore
    : []),
  ...lifts(told, 'a jug or a trowel', [
    'Fill to half, first along the edges and under the pipes, and work it in.',
    'Fill it up',
    'Fill, first along the edges and under the pipes,',
  ]),
  step('tap', 'Tap the board from below along every edge.'),
  step('strike', 'Strike it level. It is not moved until it is demoulded.', { tool: 'a straight edge' }),
];

const strips: Steps = ({ item }) => [
  step('before', 'See that the strip stands tight on the board all along, its joints taped outside.'),
  step('first', `Fill from one end on, without a gap, to ${line(item)}.`, { tool: 'a small jug or a trowel' }),
  step('tap', 'Knock on the board, not on the strip.'),
  step('strike', 'Strike it level with the strip.', { tool: 'a straight edge' }),
];

const leaf: Steps = ({ item: { shape } }) => {
  const { middle, edge } = shape.outer.kind === 'leaf' ? shape.outer : { middle: 20, edge: 12 };
  return [
    step('before', 'The leaf lies veins up on its mound, its edge propped, a stop all round.'),
    step('press', `Lay the first handful in the middle, ${mm(middle)} thick, and pat outwards to the edge, ${mm(edge)} thick there. To the edge and not over it: a buried edge cannot be mended.`, { tool: 'gloved hands' }), // prettier-ignore
    step('tap', 'Try the thickness with a marked pin at the middle and at the edge.', { tool: 'a pin marked at both' }),
  ];
};

const pressed =
  (order: string): Steps =>
  ({ item: { shape, name } }) => [
    step('before', `Stand the dowel for the drain where the floor of ${name} will be, and mark a pin at ${mm(defined(shape.pressed).thickness)}.`), // prettier-ignore
    step('press', `${order} Each handful is pressed into the last, without a seam, ${mm(defined(shape.pressed).thickness)} thick everywhere.`, { tool: 'gloved hands' }), // prettier-ignore
    step('tap', 'Try it with the pin: at the floor, the corners, half way up and at the rim.', {
      tool: 'the marked pin',
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
  'pressed over a form': pressed('Begin at the foot of the form, which becomes the rim, go up all round, and close the top last.'), // prettier-ignore
  'pressed inside a form': pressed('Press the floor first, then the walls from the foot up to the rim.'),
  'pressed against a form': pressed('Begin at the foot of the form and go up all round; its end stays bare.'),
};

const finishTexts: Record<FinishKind, readonly [text: string, tool: string]> = {
  smooth: ['Smooth the face with a damp glove; brush it for texture while it is green.', 'a damp glove, a wire brush'],
  float: ['Level it with the float, without working water up.', 'a float'],
  'first-edge': ['Run the edger along, once the sheen is gone.', 'an edger'],
  'second-edge': ['Run the edger along again, harder.', 'an edger'],
  trowel: ['Trowel it smooth, the blade nearly flat.', 'a steel trowel'],
  broom: ['One light draw of the broom across, the same way all over.', 'a soft broom'],
};

/** Mesh between two lifts: the second goes on while the first is plastic. */
function meshStep({ plan }: Told): PlacingStep {
  const { to } = planLayerWait(plan, 'blended');
  return step('mesh', 'At half the depth lay the mesh in, 12 mm clear of every edge, and press it into what is there. The rest goes on while that is plastic.', { within: to.value * MINUTES, tool: 'the mesh, cut' }); // prettier-ignore
}

/** What colours and chips change. */
function colourSteps({ item: { colouring }, plan: { mix } }: Told): PlacingStep[] {
  const found: PlacingStep[] = [];
  if (colouring?.kind === 'banded')
    found.push(
      step('before', 'Layers: fill to the mark of each, level it, and wait as the sheet says before the next.'),
    );
  if (colouring?.kind === 'marbled')
    found.push(
      step('before', 'Marbled: pour the tints by turns from one side, and draw a stick through once, not twice.'),
    );
  if (mix.doses?.some(({ material }) => material.additive === 'chips'))
    found.push(step('before', 'Chips: press the mix against every face, so that they lie close to it; tap little, or they sink.')); // prettier-ignore
  return found;
}

function togetherStep({ item, plan, placed }: Told): PlacingStep[] {
  const several = item.count > 1 || plan.items.length > 1;
  if (setsInMinutes(plan.binderClass))
    return [step('before', `${several ? 'One mould after the other, each filled before the next. ' : ''}All is in its place within the minutes told: have everything at hand before the water.`, { within: placed })]; // prettier-ignore
  if (!several || item.shape.pressed) return [];
  return [step('before', 'So that they match, fill every mould to the first line before any is filled up.', { within: placed })]; // prettier-ignore
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
    const cover = step('cover', 'Cover it, out of sun and wind.');
    return { item: at, name: item.name, way, steps: [...all.slice(0, first + 1), ...mesh, ...all.slice(first + 1), ...finishes, cover] }; // prettier-ignore
  });
}
