const NARROW = new Set([..." .,:;'|!ijlI()[]·\u00a0t"]);
const WIDE = new Set([...'MWmw@%ΩAGOQDCN→']);

/** Width of a text in the interface's face, px; a little generous, so that boxes laid out with it hold their text. */
export function textWidth(text: string, fontSize: number): number {
  let units = 0;
  for (const letter of text) units += NARROW.has(letter) ? 0.36 : WIDE.has(letter) ? 0.82 : 0.6;
  return units * fontSize;
}
