// @ts-check
import { relative } from 'node:path';
import { stripVTControlCharacters } from 'node:util';
import { root } from './paths.mjs';

/** What a runner's report says: how many passed, and each failure as a line with the first line of its reason. @typedef {{ passed: number, failures: string[] }} Outcome */

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

/** @typedef {{ file: string, title: string, ok: boolean, tests: { status: string, results: { error?: { message?: string } }[] }[] }} Spec */
/** @typedef {{ specs?: Spec[], suites?: Suite[] }} Suite */

/** The journeys of a report's suites, each with those within it. @param {Suite} suite @returns {Spec[]} */
const specsOf = ({ specs = [], suites = [] }) => [...specs, ...suites.flatMap(specsOf)];

/**
 * Playwright's own report. A journey that passed only when tried again has failed.
 * @param {{ stats: { expected: number }, suites: Suite[] }} report @returns {Outcome}
 */
export function playwrightOutcome({ stats, suites }) {
  const failures = suites
    .flatMap(specsOf)
    .flatMap(({ file, title, tests }) =>
      tests
        .filter(({ status }) => status === 'unexpected' || status === 'flaky')
        .map(({ results }) => `e2e/${file} › ${title}: ${inALine(results.find(({ error }) => error)?.error?.message)}`),
    );
  return { passed: stats.expected, failures };
}
