import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { configFrom } from '../src/config.js';
import { newAddress, newWorkshop, PASSPHRASE, startServer, visitor, type Harness } from './harness.js';

const RATES = { requests: 5, accounts: 1000, calendars: 1000, freeTries: 1000 };

let direct: Harness;
let behind: Harness;
beforeAll(async () => {
  direct = await startServer({ rates: RATES });
  behind = await startServer({ rates: RATES, ownerUrl: direct.config.ownerUrl, proxies: ['127.0.0.0/8', '::1'] });
});
afterAll(async () => {
  await behind.close();
  await direct.close();
});

/** How many of seven requests are answered, each as if from another client of a proxy. */
async function answered(harness: Harness): Promise<number> {
  let count = 0;
  for (let n = 0; n < 7; n++) {
    const { status } = await visitor(harness).get('/api/door').set('X-Forwarded-For', `10.0.0.${n}`);
    if (status === 200) count++;
  }
  return count;
}

/** What of a cookie is said when somebody signs in over TLS at the proxy. */
async function signedInOverTls(harness: Harness): Promise<string> {
  const email = newAddress();
  await newWorkshop(harness, 'Quince Yard', email);
  const { headers } = await visitor(harness)
    .post('/api/session')
    .set('X-Forwarded-Proto', 'https')
    .send({ email, passphrase: PASSPHRASE })
    .expect(204);
  return String(headers['set-cookie']);
}

describe('what a proxy says of who asks', () => {
  it('is believed of one that is named: each client has its own limits', async () => {
    expect(await answered(behind)).toBe(7);
  });

  it('is believed of nobody else', async () => {
    expect(await answered(direct)).toBe(5);
  });

  it('keeps the session on TLS', async () => {
    const wide = { ...RATES, requests: 1000 };
    const { ownerUrl } = direct.config;
    const [proxied, bare] = [
      await startServer({ rates: wide, ownerUrl, proxies: ['127.0.0.1', '::ffff:127.0.0.1'] }),
      await startServer({ rates: wide, ownerUrl }),
    ];
    expect(await signedInOverTls(proxied)).toMatch(/; Secure/);
    expect(await signedInOverTls(bare)).not.toMatch(/Secure/);
    await proxied.close();
    await bare.close();
  });
});

describe('the proxies of the environment', () => {
  const from = (DEWPOT_PROXIES?: string) =>
    configFrom({ DATABASE_URL: 'postgres://here', ...(DEWPOT_PROXIES !== undefined && { DEWPOT_PROXIES }) });

  it('are addresses and networks; behind them nobody is taken to be on this machine', () => {
    expect(from('10.0.0.2, 10.1.0.0/16,fd00::/8')).toMatchObject({
      proxies: ['10.0.0.2', '10.1.0.0/16', 'fd00::/8'],
      loopback: false,
    });
    expect(from()).toMatchObject({ loopback: true });
    expect(from()).not.toHaveProperty('proxies');
    expect(from(' , ')).not.toHaveProperty('proxies');
  });

  it.each(['proxy.example', '10.0.0.0/33', '10.0.0.2/8/8', '10.0.0', 'fd00::/129', 'true'])('refuse %s by name', (written) => {
    expect(() => from(`10.0.0.2,${written}`)).toThrow(`DEWPOT_PROXIES has “${written}”: write addresses such as`);
  }); // prettier-ignore
});
