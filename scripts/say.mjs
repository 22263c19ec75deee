/** Says which step is being done; one line each. */
export function say(text) {
  process.stdout.write(`- ${text}\n`);
}

/** A failure with what to do about it; printed without a stack. */
export class Advice extends Error {}

/** Runs a script's main function; an Advice ends it with its text. */
export async function run(main) {
  try {
    await main();
  } catch (error) {
    if (!(error instanceof Advice)) throw error;
    process.stderr.write(`\n${error.message}\n`);
    process.exitCode = 1;
  }
}
