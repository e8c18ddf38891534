import { readFileSync } from 'node:fs';

/** Time that all processors together spent so far, in hundredths of a second: all of it, and what was stolen of it. */
export interface ProcessorTime {
  readonly all: number;
  /** There was work here, and the machine under this one was at other work. */
  readonly stolen: number;
}

/** @param stat what Linux says in `/proc/stat`: user, nice, system, idle, waiting, two kinds of interrupts, stolen */
export function processorTime(stat: string): ProcessorTime {
  const figures = (/^cpu +(.*)$/m.exec(stat)?.[1] ?? '').split(' ').slice(0, 8).map(Number);
  return { all: figures.reduce((sum, one) => sum + one, 0), stolen: figures[7] ?? 0 };
}

/**
 * Begins to watch what the machine under this one takes.
 * @returns asked, the share of all processors' time that it took since, 0 to 1; 0 where the machine does not tell
 */
export function stolenShare(now: () => string = here): () => number {
  const before = processorTime(now());
  return () => {
    const { all, stolen } = processorTime(now());
    return all > before.all ? (stolen - before.stolen) / (all - before.all) : 0;
  };
}

function here(): string {
  try {
    return readFileSync('/proc/stat', 'utf8');
  } catch {
    return '';
  }
}
