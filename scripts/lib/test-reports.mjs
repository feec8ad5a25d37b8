// @ts-check
import { existsSync, readFileSync } from 'node:fs';
import { relative } from 'node:path';
import { stripVTControlCharacters } from 'node:util';
import { root } from './paths.mjs';

/**
 * What a runner's report says: how many passed, each failure as a line with the first line of its reason, and what its page showed then.
 * @typedef {{ passed: number, failures: string[], pages?: string[] }} Outcome
 */

/** Lines of a page that are told. */
const MOST_LINES = 60;

/** Why a test failed, in a line without colours. @param {string | undefined} reason */
const inALine = (reason = '') => (stripVTControlCharacters(reason).split('\n')[0] ?? '').slice(0, 200);

/**
 * Vitest's own report. A file that could not be loaded is a failure without a test.
 * @param {{ numPassedTests: number, testResults: { name: string, status: string, message?: string, assertionResults: { status: string, fullName: string, failureMessages?: string[] }[] }[] }} report
 * @returns {Outcome}
 */
export function vitestOutcome({ numPassedTests, testResults }) {
  const failures = testResults.flatMap(({ name, status, message, assertionResults }) => {
    const file = relative(root, name);
    const failed = assertionResults.filter((test) => test.status === 'failed');
    if (failed.length === 0) return status === 'failed' ? [`${file}: ${inALine(message)}`] : [];
    return failed.map((test) => `${file} › ${test.fullName}: ${inALine(test.failureMessages?.[0])}`);
  });
  return { passed: numPassedTests, failures };
}

/** @typedef {{ error?: { message?: string }, attachments?: { name: string, path?: string }[] }} Run */
/** @typedef {{ file: string, title: string, tests: { status: string, results: Run[] }[] }} Spec */
/** @typedef {{ specs?: Spec[], suites?: Suite[] }} Suite */

/** The journeys of a report's suites, each with those within it. @param {Suite} suite @returns {Spec[]} */
const specsOf = ({ specs = [], suites = [] }) => [...specs, ...suites.flatMap(specsOf)];

/** What the page showed when a journey failed, by its roles and names. @param {Run | undefined} run */
function pageOf(run) {
  const path = run?.attachments?.find(({ name }) => name === 'error-context')?.path;
  const [, page] = /^# Page snapshot\n+```yaml\n([^]*?)```/m.exec(path && existsSync(path) ? readFileSync(path, 'utf8') : '') ?? []; // prettier-ignore
  return page?.split('\n').slice(0, MOST_LINES).join('\n');
}

/**
 * Playwright's own report. A journey that passed only when tried again has failed.
 * @param {{ stats: { expected: number }, suites: Suite[] }} report @returns {Outcome}
 */
export function playwrightOutcome({ stats, suites }) {
  const failed = suites.flatMap(specsOf).flatMap(({ file, title, tests }) =>
    tests
      .filter(({ status }) => status === 'unexpected' || status === 'flaky')
      .map(({ results }) => {
        const first = results.find(({ error }) => error);
        const journey = `e2e/${file} › ${title}`;
        return { journey, reason: inALine(first?.error?.message), page: pageOf(first) };
      }),
  );
  return {
    passed: stats.expected,
    failures: failed.map(({ journey, reason }) => `${journey}: ${reason}`),
    pages: failed.flatMap(({ journey, page }) => (page ? [`${journey}\n${page}`] : [])),
  };
}
