import { Text } from './limits.js';

/** Why a finding is put aside for a mould with a mix. */
export class AsideReason {
  @Text(1, 300) reason: string;
}
