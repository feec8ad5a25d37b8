import { createHash, generateKeyPairSync, randomBytes, sign, type KeyObject } from 'node:crypto';
import type { NewPasskey, PasskeyOptions, PasskeySignIn } from '@dewpot/contract';

const sha256 = (bytes: Buffer | string) => createHash('sha256').update(bytes).digest();
const b64 = (bytes: Buffer | string) => Buffer.from(bytes).toString('base64url');

/** A head of CBOR: its major type and its length. */
const head = (major: number, length: number): Buffer =>
  length < 24 ? Buffer.from([(major << 5) | length]) : length < 256 ? Buffer.from([(major << 5) | 24, length]) : Buffer.from([(major << 5) | 25, length >> 8, length & 255]); // prettier-ignore
const bytesOf = (bytes: Buffer) => Buffer.concat([head(2, bytes.length), bytes]);
const textOf = (text: string) => Buffer.concat([head(3, text.length), Buffer.from(text)]);
const number = (n: number) => (n < 0 ? head(1, -1 - n) : head(0, n));
const map = (entries: readonly (readonly [Buffer, Buffer])[]) => Buffer.concat([head(5, entries.length), ...entries.flat()]); // prettier-ignore

/** An authenticator in software with one passkey, as a phone would hold one. */
export class SoftAuthenticator {
  readonly id = randomBytes(24);
  private readonly keys = generateKeyPairSync('ec', { namedCurve: 'P-256' });
  private counter = 0;

  constructor(private readonly origin: string) {}

  make({ challenge }: PasskeyOptions, label: string): NewPasskey {
    const { x, y } = this.keys.publicKey.export({ format: 'jwk' });
    const key = map([
      [number(1), number(2)],
      [number(3), number(-7)],
      [number(-1), number(1)],
      [number(-2), bytesOf(Buffer.from(x!, 'base64url'))],
      [number(-3), bytesOf(Buffer.from(y!, 'base64url'))],
    ]);
    const attested = Buffer.concat([Buffer.alloc(16), Buffer.from([0, this.id.length]), this.id, key]);
    const attestation = map([
      [textOf('fmt'), textOf('none')],
      [textOf('attStmt'), map([])],
      [textOf('authData'), bytesOf(this.data(0x45, attested))],
    ]);
    return { credential: b64(this.id), label, clientData: this.said('webauthn.create', challenge), attestation: b64(attestation), transports: ['internal'] }; // prettier-ignore
  }

  answer({ challenge }: PasskeyOptions, key: KeyObject = this.keys.privateKey): PasskeySignIn {
    const data = this.data(0x05);
    const clientData = this.said('webauthn.get', challenge);
    const signed = Buffer.concat([data, sha256(Buffer.from(clientData, 'base64url'))]);
    return { credential: b64(this.id), clientData, authenticatorData: b64(data), signature: b64(sign('sha256', signed, key)) }; // prettier-ignore
  }

  private said(type: string, challenge: unknown): string {
    return b64(JSON.stringify({ type, challenge, origin: this.origin, crossOrigin: false }));
  }

  private data(flags: number, rest = Buffer.alloc(0)): Buffer {
    const count = Buffer.alloc(4);
    count.writeUInt32BE(++this.counter);
    return Buffer.concat([sha256(new URL(this.origin).hostname), Buffer.from([flags]), count, rest]);
  }
}
