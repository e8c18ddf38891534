import { pumpCatalogue } from '../reference';

type Read = Readonly<Record<string | number, unknown>>;

const isRead = (value: unknown): value is Read => typeof value === 'object' && value !== null;

/** A figure of a catalogue's class that nobody replaced by the label's. */
function isOfClass(pump: Read, key: string | number): boolean {
  const figures = Object.entries(pumpCatalogue).find(([name]) => name === pump['catalogue'])?.[1];
  return figures !== undefined && new Map<string, unknown>(Object.entries(figures)).get(String(key)) === pump[key];
}

/**
 * Whether the figure at a path of a job is one that nobody measured: of something that is marked as guessed, or of a
 * class of pump. Of a leg only its length is ever guessed.
 */
export function isEstimate(job: unknown, path: readonly (string | number)[]): boolean {
  let at: unknown = job;
  for (const [index, step] of path.entries()) {
    if (!isRead(at)) return false;
    const last = index === path.length - 1;
    const within = path[index - 1];
    if (last && within === 'pump') return at[step] !== undefined && isOfClass(at, step);
    const ofLeg = path[index - 2] === 'legs';
    if (at['guessed'] === true && (!ofLeg || step === 'lengthM')) return last ? at[step] !== undefined : true;
    at = at[step];
  }
  return false;
}
