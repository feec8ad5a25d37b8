import { request } from 'node:http';
import type { FuzzRequest } from './requests.js';

/** An answer that is none: the request, what came, and how long it took, ms. */
interface Finding {
  readonly sent: FuzzRequest;
  readonly status: number;
  readonly ms: number;
  readonly text: string;
}

/** What a run found: each kind of answer, and what must not be. */
export interface FuzzReport {
  readonly statuses: Readonly<Record<number, number>>;
  readonly findings: readonly Finding[];
}

/** No answer that is asked for by itself takes longer, ms. */
const SLOW = 2_000;

function send(port: number, headers: Readonly<Record<string, string>>, sent: FuzzRequest): Promise<Finding> {
  const start = performance.now();
  return new Promise((resolve, reject) => {
    const asked = request({ port, host: '127.0.0.1', method: sent.method.toUpperCase(), path: sent.path, headers: { ...headers, ...(sent.body !== undefined && { 'content-type': 'application/json', 'content-length': String(Buffer.byteLength(sent.body)) }) } }, (answer) => {
      let text = '';
      answer.setEncoding('utf8').on('data', (more: string) => (text = (text + more).slice(0, 2000)));
      answer.on('end', () => resolve({ sent, status: answer.statusCode ?? 0, ms: performance.now() - start, text }));
    }); // prettier-ignore
    asked.on('error', reject);
    asked.end(sent.body);
  });
}

/** A server that is too busy says so, and is right to. */
const isFault = ({ status }: Finding) => (status >= 500 && status !== 503) || status === 0;

/** How often a slow request is sent again by itself. Beside others on a busy machine, any may be slow. */
const AGAIN = 3;

/** The quickest answer of a request that is sent with nothing beside it. */
async function sendAlone(port: number, headers: Readonly<Record<string, string>>, sent: FuzzRequest): Promise<Finding> {
  let best = await send(port, headers, sent);
  for (let i = 1; i < AGAIN && best.ms > SLOW; i++) {
    const found = await send(port, headers, sent);
    if (found.ms < best.ms) best = found;
  }
  return best;
}

/** Sends requests, some at once, and gathers the answers that must not be. */
export async function runFuzz(
  port: number,
  headers: Readonly<Record<string, string>>,
  next: () => FuzzRequest,
  count: number,
): Promise<FuzzReport> {
  const statuses: Record<number, number> = {};
  const findings: Finding[] = [];
  const slow: FuzzRequest[] = [];
  let left = count;
  const one = async () => {
    while (left-- > 0) {
      const sent = next();
      const found = await send(port, headers, sent);
      statuses[found.status] = (statuses[found.status] ?? 0) + 1;
      if (isFault(found)) findings.push(found);
      else if (found.ms > SLOW) slow.push(sent);
    }
  };
  await Promise.all(Array.from({ length: 4 }, one));
  for (const sent of slow) {
    const found = await sendAlone(port, headers, sent);
    if (found.ms > SLOW) findings.push(found);
  }
  return { statuses, findings };
}
