import { defined } from '../../foundation/math/index.js';
import {
  computed,
  figure,
  line,
  type Figure,
  msg,
  quantity,
  fixed,
  type Message,
} from '../../foundation/units/index.js';
import { boxFootprint } from '../../geometry/moulds/index.js';
import { againstBond, bondMass, bonds, bondHours, carriesAfter, type Bond, type JointUse } from './bonds.js';
import { contactArea, reachOf, type PlacedPart } from './contact.js';

/** How parts are put together. */
export const arrangements = ['stacked', 'panel box'] as const;
export type Arrangement = (typeof arrangements)[number];

/** A part of an article, from the ground up; mass in g as it is now. */
interface ArticlePart extends PlacedPart {
  readonly code: string;
  readonly name: string;
  readonly mass: number;
}

/** An article to be joined. */
export interface ArticlePlan {
  readonly arrangement: Arrangement;
  readonly parts: readonly ArticlePart[];
  readonly bond: Bond;
  readonly uses: readonly JointUse[];
  /** °C in which the joint hardens. */
  readonly temperature: number;
  /** Most that one person lifts, g. */
  readonly liftLimit: number;
}

/** One joint: between which parts, over what area, mm². */
export interface Joint {
  readonly between: readonly [lower: string, upper: string];
  readonly area: number;
  /** By how much the upper reaches over what it stands on, mm on each side; below 0 it stands back. */
  readonly overhang: number;
}

export interface ArticleFigures {
  readonly joints: readonly Joint[];
  readonly area: Figure;
  readonly bond: Figure;
  readonly clamp: Figure;
  readonly cure: Figure;
  readonly mass: Figure;
  /** Real outer size, mm. */
  readonly size: { readonly length: Figure; readonly width: Figure; readonly height: Figure };
  /** Tilt at which it tips over, degrees; on its own foot. */
  readonly tips: Figure;
  readonly people: 1 | 2;
  /** What is told before it is joined. */
  readonly remarks: readonly Message[];
}

const EASILY_TIPPED = 10;
const WIDE_OVERHANG = 0.25;

function stackedJoints(parts: readonly ArticlePart[]): Joint[] {
  return parts.slice(1).map((upper, i) => {
    const lower = defined(parts[i]);
    const [below, above] = [reachOf(lower), reachOf(upper)];
    return {
      between: [lower.code, upper.code],
      area: contactArea(lower, upper),
      overhang: Math.max(above.length - below.upper.length, above.width - below.upper.width) / 2,
    };
  });
}

/** Each corner of a box of panels is glued over its height by the wall's thickness. */
function boxJoints(parts: readonly ArticlePart[]): Joint[] {
  return parts.map((part, i) => {
    const next = defined(parts[(i + 1) % parts.length]);
    const [one, other] = [reachOf(part), reachOf(next)];
    return {
      between: [part.code, next.code],
      area: Math.min(one.width, other.width) * Math.min(one.height, other.height),
      overhang: 0,
    };
  });
}

const sized = (value: number, label: Message, how: Message) =>
  figure(value, 'mm', computed, [line(label, value, 'mm', how)]);

/** Panels stand on edge: their mould's depth is the wall, their shorter side the height. */
function boxSize(parts: readonly ArticlePart[]): ArticleFigures['size'] {
  const [first, second] = [reachOf(defined(parts[0])), reachOf(parts[1] ?? defined(parts[0]))];
  const { length, width } = boxFootprint({ length: first.length, width: second.length, thickness: first.height });
  return { length, width, height: sized(first.width, msg('assembly.panelsOnEdge'), msg('assembly.shorterSide')) };
}

function stackedSize(parts: readonly ArticlePart[]): ArticleFigures['size'] {
  const reaches = parts.map(reachOf);
  const widest = (of: 'length' | 'width') => Math.max(...reaches.map((reach) => reach[of]));
  const height = reaches.reduce((sum, reach) => sum + reach.height, 0);
  return {
    length: sized(widest('length'), msg('assembly.widestPart'), msg('assembly.along')),
    width: sized(widest('width'), msg('assembly.widestPart'), msg('assembly.across')),
    height: figure(height, 'mm', computed, [
      ...parts.map((part, i) => line(part.name, defined(reaches[i]).height, 'mm')),
      line(msg('assembly.together'), height, 'mm'),
    ]),
  };
}

/** Tilt at which its middle of mass stands over the edge of its foot; each part's mass taken at half its height. */
function tipping(plan: ArticlePlan, size: ArticleFigures['size'], mass: number): Figure {
  let base = 0;
  const moments = plan.parts.map((part) => {
    const { height } = reachOf(part);
    const at = base + height / 2;
    base += height;
    return part.mass * at;
  });
  const stacked = plan.arrangement === 'stacked';
  const centre = stacked ? moments.reduce((sum, one) => sum + one, 0) / mass : size.height.value / 2;
  const { foot } = reachOf(defined(plan.parts[0]));
  const half = stacked ? Math.min(foot.length, foot.width) / 2 : Math.min(size.length.value, size.width.value) / 2;
  const angle = (Math.atan2(half, centre) / Math.PI) * 180;
  return figure(angle, 'ratio', computed, [
    line(msg('assembly.halfFoot'), half, 'mm'),
    line(msg('assembly.middleOfMass'), centre, 'mm', msg('assembly.partsHalfHeight')),
    line(msg('assembly.tipsAt'), angle, 'ratio', msg('assembly.tipsFormula')),
  ]);
}

function remarksOn(plan: ArticlePlan, joints: readonly Joint[], tips: number, mass: number): Message[] {
  const against = againstBond(plan.bond, plan.uses);
  const { caution } = bonds[plan.bond];
  const far = joints.filter(({ overhang }, i) => {
    const { upper } = reachOf(defined(plan.parts[i]));
    return overhang > WIDE_OVERHANG * Math.min(upper.length, upper.width);
  });
  return [
    ...(against ? [against] : []),
    ...joints
      .filter(({ area }) => area < 1)
      .map(({ between: [lower, upper] }) => msg('assembly.partsApart', { upper, lower })),
    ...far.map(({ between: [, upper], overhang }) =>
      msg('assembly.overhang', { upper, overhang: quantity(overhang, 'mm', 0) }),
    ),
    ...(tips < EASILY_TIPPED ? [msg('assembly.tips', { tips: fixed(tips, 0) })] : []),
    ...(mass > plan.liftLimit ? [msg('assembly.heavyArticle', { mass: quantity(mass, 'g') })] : []),
    ...(plan.uses.includes('load') ? [msg('assembly.peopleDepend')] : []),
    ...(caution ? [caution] : []),
  ];
}

/** Everything that joining these parts implies. Two parts or more; stacked from the ground up, a box in the order round. */
export function calculateArticle(plan: ArticlePlan): ArticleFigures {
  const joints = plan.arrangement === 'stacked' ? stackedJoints(plan.parts) : boxJoints(plan.parts);
  const area = joints.reduce((sum, joint) => sum + joint.area, 0);
  const bond = bondMass(plan.bond, area);
  const mass = plan.parts.reduce((sum, part) => sum + part.mass, 0) + bond.value;
  const size = plan.arrangement === 'stacked' ? stackedSize(plan.parts) : boxSize(plan.parts);
  const tips = tipping(plan, size, mass);
  const guide = bonds[plan.bond];
  return {
    joints,
    area: figure(area, 'mm²', computed, [
      ...joints.map(({ between, area: one }) => line(between.join(' to '), one, 'mm²')),
      line(msg('assembly.jointsTogether'), area, 'mm²'),
    ]),
    bond,
    clamp: bondHours(guide.clamp, plan.temperature),
    cure: carriesAfter(plan.bond, plan.temperature),
    mass: figure(mass, 'g', computed, [
      ...plan.parts.map(({ code, mass: one }) => line(code, one, 'g')),
      line(guide.name, bond.value, 'g'),
      line(msg('assembly.together'), mass, 'g'),
    ]),
    size,
    tips,
    people: mass > plan.liftLimit ? 2 : 1,
    remarks: remarksOn(plan, joints, tips.value, mass),
  };
}

/** Faces that the joints cover, mm² on both sides: they are not sealed. */
export const joinedFaces = (joints: readonly Joint[]): number => 2 * joints.reduce((sum, { area }) => sum + area, 0);
