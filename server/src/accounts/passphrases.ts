import { Inject, Injectable } from '@nestjs/common';
import { hash, verify } from 'argon2';
import { CONFIG, type ServerConfig } from '../config.js';

/** Hashes passphrases and looks whether one is right; by Argon2id, at its library's cost unless the configuration says otherwise. */
@Injectable()
export class Passphrases {
  /** Checked against where no such person is, so that the answer takes as long. */
  private readonly decoy: Promise<string>;

  constructor(@Inject(CONFIG) private readonly config: Pick<ServerConfig, 'hashing'>) {
    this.decoy = this.hash('nobody has this passphrase');
  }

  hash(passphrase: string): Promise<string> {
    return hash(passphrase, this.config.hashing ?? {});
  }

  /** Whether a passphrase belongs to a hash; takes as long where there is none. */
  async isRight(kept: string | null | undefined, passphrase: string): Promise<boolean> {
    const right = await verify(kept ?? (await this.decoy), passphrase);
    return kept != null && right;
  }
}
