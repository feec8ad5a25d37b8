import { IsOptional, Matches } from 'class-validator';
import { Text, Texts } from './limits.js';

/** A passkey of one's own. Times ms. */
export interface PasskeyView {
  readonly id: string;
  readonly label: string;
  readonly madeAt: number;
  readonly usedAt?: number;
}

/** What a browser is asked for a passkey with, as WebAuthn's own JSON. */
export type PasskeyOptions = Readonly<Record<string, unknown>>;

const BASE64URL = /^[\w-]+$/;

/** What every answer of an authenticator has: which passkey, and what it was asked. Bytes are base64url. */
class PasskeyAnswer {
  @Text(1, 1400) @Matches(BASE64URL) credential: string;
  @Text(1, 4000) @Matches(BASE64URL) clientData: string;
}

/** A passkey that was just made. */
export class NewPasskey extends PasskeyAnswer {
  /** What its owner calls it. */
  @Text(1, 60) label: string;
  @Text(1, 12000) @Matches(BASE64URL) attestation: string;
  /** How the authenticator is reached. */
  @IsOptional() @Texts(1, 20, { most: 10 }) transports?: string[];
}

/** A passkey that opens the door. */
export class PasskeySignIn extends PasskeyAnswer {
  @Text(1, 4000) @Matches(BASE64URL) authenticatorData: string;
  @Text(1, 4000) @Matches(BASE64URL) signature: string;
}
