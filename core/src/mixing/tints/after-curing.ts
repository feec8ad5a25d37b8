import { msg, type Message } from '../../foundation/units/index.js';
/** A way to colour a piece once it has cured. */
export interface AfterCure {
  readonly key: 'dye' | 'wash' | 'powder' | 'foil';
  readonly name: Message;
  readonly gives: Message;
  /** How dry the piece must be. */
  readonly dryness: 'damp' | 'dry';
  /** Where it stands to the sealer. */
  readonly sealer: Message;
  readonly steps: readonly Message[];
  readonly caution: Message;
}

/** Colour that comes after the cure, with its order to the sealer. */
export const afterCure: readonly AfterCure[] = [
  {
    key: 'dye',
    name: msg('tints.dyeBath'),
    gives: msg('tints.dyeBathLooks'),
    dryness: 'damp',
    sealer: msg('tints.dyeBathWhen'),
    steps: [msg('tints.dyeBathStep1'), msg('tints.dyeBathStep2'), msg('tints.dyeBathStep3'), msg('tints.dyeBathStep4')],
    caution: msg('tints.dyeBathCaution'),
  },
  {
    key: 'wash',
    name: msg('tints.wash'),
    gives: msg('tints.washLooks'),
    dryness: 'dry',
    sealer: msg('tints.washWhen'),
    steps: [msg('tints.washStep1'), msg('tints.washStep2'), msg('tints.washStep3'), msg('tints.washStep4')],
    caution: msg('tints.washCaution'),
  },
  {
    key: 'powder',
    name: msg('tints.powder'),
    gives: msg('tints.powderLooks'),
    dryness: 'dry',
    sealer: msg('tints.powderWhen'),
    steps: [msg('tints.powderStep1'), msg('tints.powderStep2'), msg('tints.powderStep3')],
    caution: msg('tints.powderCaution'),
  },
  {
    key: 'foil',
    name: msg('tints.foil'),
    gives: msg('tints.foilLooks'),
    dryness: 'dry',
    sealer: msg('tints.foilWhen'),
    steps: [msg('tints.foilStep1'), msg('tints.foilStep2'), msg('tints.foilStep3'), msg('tints.foilStep4')],
    caution: msg('tints.foilCaution'),
  },
];
