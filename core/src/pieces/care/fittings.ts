import { msg, type Message, exactly } from '../../foundation/units/index.js';
/** What is fitted to a piece before it goes out. */
export type Fitting = 'mesh' | 'feet' | 'lamp kit' | 'lid' | 'soil' | 'candle' | 'rods';

/** How a fitting is done, and what is ticked off for it. */
export interface FittingGuide {
  readonly name: Message;
  readonly how: Message;
  readonly checks: readonly Message[];
  readonly caution?: Message;
}

export const fittings: Record<Fitting, FittingGuide> = {
  mesh: { name: msg('care.fitMesh'), how: msg('care.fitMeshHow'), checks: [] },
  feet: {
    name: msg('care.fitFeet'),
    how: msg('care.fitFeetHow'),
    checks: [],
  },
  'lamp kit': {
    name: msg('care.fitLamp'),
    how: msg('care.fitLampHow'),
    checks: [
      msg('care.lampListed'),
      msg('care.lampCord'),
      msg('care.lampEdge'),
      msg('care.lampEarth'),
      msg('care.lampLed'),
      msg('care.lampStands'),
    ],
    caution: msg('care.lampCaution'),
  },
  lid: {
    name: msg('care.fitLid'),
    how: msg('care.fitLidHow'),
    checks: [],
  },
  soil: { name: msg('care.fitSoil'), how: msg('care.fitSoilHow', { gap: exactly(20, 'mm') }), checks: [] },
  candle: {
    name: msg('care.fitCandle'),
    how: msg('care.fitCandleHow'),
    checks: [msg('care.candleStood'), msg('care.candleLabel'), msg('care.candleBurnt')],
    caution: msg('care.candleCaution'),
  },
  rods: {
    name: msg('care.fitRods'),
    how: msg('care.fitRodsHow'),
    checks: [msg('care.rodsRocking'), msg('care.rodsLean')],
    caution: msg('care.rodsCaution'),
  },
};

export const fittingsInOrder = Object.keys(fittings) as readonly Fitting[];
