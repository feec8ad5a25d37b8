import { computed, figure, line, type Figure } from '../units/index.js';
import { equivalentAge, nurseSaul, type TemperatureReading } from './maturity.js';
import { strengthShare, type SettingClass } from './strength-share.js';

/** How far a piece has hardened. */
export interface Maturity {
  readonly equivalentAge: Figure;
  /** Share of its 28-day (or final) strength, %. */
  readonly strengthShare: Figure;
}

/** Reckons how far a piece has hardened `hours` after the pour, from the temperatures it stood in. */
export function reckonMaturity(
  readings: readonly TemperatureReading[],
  hours: number,
  setting: SettingClass,
): Maturity {
  const age = equivalentAge(readings, hours, setting);
  const share = strengthShare(setting, age) * 100;
  const sameAt20 = line('As at 20 °C', age, 'h', 'Arrhenius, ASTM C1074');
  return {
    equivalentAge: figure(age, 'h', computed, [
      line('By the clock', hours, 'h'),
      line('Maturity from −10 °C', nurseSaul(readings, hours), 'ratio', '°C·h, Nurse–Saul'),
      sameAt20,
    ]),
    strengthShare: figure(share, '%', computed, [sameAt20, line('Share of its strength', share, '%')]),
  };
}
