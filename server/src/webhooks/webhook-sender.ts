import { createHmac } from 'node:crypto';
import { lookup, type LookupAddress } from 'node:dns';
import { request as overHttp } from 'node:http';
import { request as overHttps } from 'node:https';
import { isIP, type LookupFunction } from 'node:net';
import { Inject, Injectable } from '@nestjs/common';
import { CONFIG, type ServerConfig } from '../config.js';
import { isPrivate } from './private-address.js';

/** Whoever is told must answer within this, ms. */
const MOST_TIME = 10_000;

/** What is sent, to where, and what it is signed with. */
interface Sent {
  readonly address: string;
  readonly secret: string;
  readonly id: string;
  readonly body: string;
}

/** The signature of a body: HMAC-SHA256 of its key, its time and itself, with points between them. */
export const signatureOf = (secret: string, id: string, time: number, body: string): string =>
  `sha256=${createHmac('sha256', secret).update(`${id}.${time}.${body}`).digest('hex')}`;

/** Sends what came due to whoever wants to know. */
@Injectable()
export class WebhookSender {
  constructor(@Inject(CONFIG) private readonly config: ServerConfig) {}

  /** Posts to an address; redirections are not followed. @throws Error where it is not taken */
  async send({ address, secret, id, body }: Sent, now: number): Promise<void> {
    const url = new URL(address);
    const host = url.hostname.replace(/^\[|\]$/g, '');
    if (isIP(host) && this.isShut(host)) throw closed();
    const headers = {
      'Content-Type': 'application/json',
      'Content-Length': Buffer.byteLength(body),
      'Dew-Pot-Delivery': id,
      'Dew-Pot-Time': String(now),
      'Dew-Pot-Signature': signatureOf(secret, id, now, body),
    };
    const status = await new Promise<number>((answered, failed) => {
      const request = (url.protocol === 'https:' ? overHttps : overHttp)(
        url,
        { method: 'POST', headers, lookup: this.look, timeout: MOST_TIME, signal: AbortSignal.timeout(MOST_TIME) },
        (response) => {
          answered(response.statusCode ?? 0);
          // What it says beside is of no matter.
          response.destroy();
        },
      );
      request.on('error', failed).end(body);
    });
    if (status < 200 || status > 299) throw new Error(`HTTP ${status}`);
  }

  /** Looks a name up as the connection is made, so that what was judged is what is connected to. */
  private readonly look: LookupFunction = (host, options, done) =>
    lookup(host, { ...options, all: true }, (error, found) => {
      const open = (found as LookupAddress[] | undefined)?.filter(({ address }) => !this.isShut(address)) ?? [];
      const [first] = open;
      if (error || !first) return done(error ?? closed(), '', 4);
      return options.all ? done(null, open) : done(null, first.address, first.family);
    });

  /** A server that others can reach is no way into the network that it stands in. */
  private isShut(address: string): boolean {
    return !this.config.loopback && isPrivate(address);
  }
}

const closed = () => new Error('The address is within the network of the server.');
