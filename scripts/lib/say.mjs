// @ts-check
/** A failure that a person can mend: one line with the remedy, no stack. */
export class Stop extends Error {}

/** @param {string} text */
export function say(text) {
  process.stdout.write(`${text}\n`);
}

/** Runs `main`; a Stop becomes one clear line and exit code 1. @param {() => Promise<void>} main */
export function run(main) {
  main().catch((error) => {
    process.stderr.write(error instanceof Stop ? `${error.message}\n` : `${error?.stack ?? error}\n`);
    process.exit(1);
  });
}
