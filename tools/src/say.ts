/** Tells the person at the terminal what is being done. */
export function say(text: string): void {
  process.stderr.write(`${text}\n`);
}
