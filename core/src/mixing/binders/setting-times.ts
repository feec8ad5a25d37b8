import { activation, rate } from './rate.js';
import { isPortland, type BinderClass } from './strength-share.js';

/** How long a mix can be placed, min, and when it sets, h, at 20 °C. Either may be unknown. */
export interface SettingTimes {
  readonly potLife?: number;
  readonly initialSet?: number;
}

/** Pot life at 20 °C, minutes: lower end of the handbook's range, so that no one is caught out. */
const potLife20: Record<BinderClass, number> = {
  portland: 60,
  'high-early': 60,
  'fast-setting': 10,
  gypsum: 8,
  underlayment: 15,
  patch: 20,
  lime: 120,
};

/** Pot life of a Portland mix with accelerator at 20 °C, minutes. */
const ACCELERATED_POT_LIFE = 40;

/** Initial set at 20 °C, hours: high-early cement hardens sooner, but sets like the general kind; lime stiffens by drying and air, about a day. */
const initialSet20: Record<BinderClass, number> = {
  portland: 4.5,
  'high-early': 4.5,
  'fast-setting': 13 / 60,
  gypsum: 13 / 60,
  underlayment: 23 / 60,
  patch: 0.75,
  lime: 24,
};
/** Initial set of a Portland mix with accelerator at 20 °C, hours. */
const ACCELERATED_SET = 3;

/** Pot life and initial set of a binder at 20 °C by the handbook; only Portland heeds an accelerator. */
export function handbookTimes(binderClass: BinderClass, accelerated = false): Required<SettingTimes> {
  return accelerated && isPortland(binderClass)
    ? { potLife: ACCELERATED_POT_LIFE, initialSet: ACCELERATED_SET }
    : { potLife: potLife20[binderClass], initialSet: initialSet20[binderClass] };
}

/** Initial set at 20 °C, h: as it is given, else the handbook's, with accelerator or without. */
export const initialSetAt20 = (
  binderClass: BinderClass,
  { initialSet: given, accelerated }: { readonly initialSet?: number; readonly accelerated?: boolean },
): number => given ?? handbookTimes(binderClass, accelerated).initialSet;

/** Minutes in which a mix can be placed at a temperature: its pot life at 20 °C ÷ rate. */
export function potLife(binderClass: BinderClass, temperature: number, at20 = potLife20[binderClass]): number {
  return at20 / rate(temperature, activation[binderClass]);
}

/** Hours to initial set at a temperature: its figure at 20 °C ÷ rate. */
export function initialSet(binderClass: BinderClass, temperature: number, at20 = initialSet20[binderClass]): number {
  return at20 / rate(temperature, activation[binderClass]);
}
