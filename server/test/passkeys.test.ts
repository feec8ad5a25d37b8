import { generateKeyPairSync } from 'node:crypto';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { v7 as uuid } from 'uuid';
import type { NewPasskey, PasskeyOptions, PasskeySignIn, PasskeyView } from '@dewpot/contract';
import { me, newAddress, newWorkshop, PASSPHRASE, startServer, visitor, wideRates, type Agent, type Harness } from './harness.js'; // prettier-ignore
import { SoftAuthenticator } from './soft-authenticator.js';

let harness: Harness;
beforeAll(async () => {
  harness = await startServer({ rates: wideRates, hostNames: ['shed.example'] });
});
afterAll(() => harness.close());

/** Where the browser of a test is. */
const at = (host: string) => ({ Host: host, Origin: `http://${host}` });
const HOME = at('localhost');
const list = async (agent: Agent) => (await agent.get('/api/account/passkeys').expect(200)).body as PasskeyView[];
const offer = async (agent: Agent, where = HOME) =>
  (await agent.post('/api/session/passkey/offer').set(where).expect(200)).body as PasskeyOptions;
const asked = async (where = HOME) =>
  (await visitor(harness).post('/api/session/passkey/options').set(where).expect(200)).body as PasskeyOptions;
const add = (agent: Agent, made: NewPasskey, where = HOME) => agent.post('/api/account/passkeys').set(where).send(made);
const signIn = (agent: Agent, answer: PasskeySignIn, where = HOME) =>
  agent.post('/api/session/passkey').set(where).send(answer);

/** Somebody with a passkey on their phone. */
async function withPasskey() {
  const email = newAddress();
  const agent = await newWorkshop(harness, 'Quince Yard', email);
  const phone = new SoftAuthenticator('http://localhost');
  await add(agent, phone.make(await offer(agent), 'My phone')).expect(201);
  return { agent, email, phone };
}

describe('a passkey', () => {
  it('is made, listed, opens the door, and is removed', async () => {
    const { agent, phone } = await withPasskey();
    expect(await list(agent)).toMatchObject([{ label: 'My phone' }]);
    const door = visitor(harness);
    await signIn(door, phone.answer(await asked())).expect(204);
    expect(await me(door)).toEqual(await me(agent));
    const [kept] = await list(agent);
    expect(kept!.usedAt).toBeGreaterThan(kept!.madeAt);
    await agent.delete(`/api/account/passkeys/${kept!.id}`).expect(204);
    await agent.delete(`/api/account/passkeys/${kept!.id}`).expect(404);
    await signIn(visitor(harness), phone.answer(await asked())).expect(422);
  });

  it('answers a challenge once, of those that were asked; of one answer sent twice at once, one comes in', async () => {
    const { phone } = await withPasskey();
    const answer = phone.answer(await asked());
    const sent = await Promise.all([signIn(visitor(harness), answer), signIn(visitor(harness), answer)]);
    expect(sent.map(({ status }) => status).sort()).toEqual([204, 422]);
    await signIn(visitor(harness), answer).expect(422);
    const { body } = await signIn(visitor(harness), phone.answer({ challenge: 'bm90IGFza2Vk' })).expect(422);
    expect(body.errors[0].remedy).toContain('come in with your passphrase');
  });

  it('of another key, of another site, or that was copied to another authenticator comes in nowhere', async () => {
    const { phone } = await withPasskey();
    const { privateKey } = generateKeyPairSync('ec', { namedCurve: 'P-256' });
    await signIn(visitor(harness), phone.answer(await asked(), privateKey)).expect(422);
    const elsewhere = at('shed.example');
    await signIn(visitor(harness), phone.answer(await asked(elsewhere)), elsewhere).expect(422);
    await signIn(visitor(harness), new SoftAuthenticator('http://localhost').answer(await asked())).expect(422);
    await visitor(harness).post('/api/session/passkey').set(at('evil.example')).send({}).expect(421);
    await signIn(visitor(harness), phone.answer(await asked())).expect(204);
  });

  it('is added by whoever it was offered to, once, where it was offered', async () => {
    const { agent } = await withPasskey();
    const stranger = await newWorkshop(harness, 'Elsewhere');
    const key = new SoftAuthenticator('http://localhost');
    const made = key.make(await offer(agent), 'A security key');
    await add(stranger, made).expect(422);
    await add(agent, made, at('shed.example')).expect(422);
    await add(agent, made).expect(201);
    await add(agent, made).expect(422);
    await add(stranger, key.make(await offer(stranger), 'The same key')).expect(422);
    await add(agent, { ...made, label: '' }).expect(422);
    await add(agent, { ...made, attestation: 'not base64!' }).expect(422);
    expect(await list(agent)).toHaveLength(2);
    expect(await list(stranger)).toEqual([]);
    await stranger.delete(`/api/account/passkeys/${(await list(agent))[0]!.id}`).expect(404);
    await agent.delete(`/api/account/passkeys/${uuid()}`).expect(404);
  });

  it('is one of twenty at most', async () => {
    const { agent } = await withPasskey();
    for (let i = 1; i < 20; i++)
      await add(agent, new SoftAuthenticator('http://localhost').make(await offer(agent), `Key ${i}`)).expect(201);
    const { body } = await agent.post('/api/session/passkey/offer').set(HOME).expect(409);
    expect(body.detail).toContain('Remove one first');
  });

  it('goes with its account', async () => {
    const { agent, phone, email } = await withPasskey();
    const second = await newWorkshop(harness, 'Second');
    await agent.put('/api/account/passphrase').send({ current: PASSPHRASE, fresh: 'one that is new' }).expect(204);
    await signIn(visitor(harness), phone.answer(await asked())).expect(204);
    const { body } = await agent.post('/api/invitations').send({ role: 'owner', days: 7 }).expect(201);
    await second
      .post('/api/session/join')
      .send({ token: (body as { token: string }).token })
      .expect(204);
    await agent.delete('/api/people').expect(204);
    await signIn(visitor(harness), phone.answer(await asked())).expect(422);
    await newWorkshop(harness, 'Anew', email);
  });
});
