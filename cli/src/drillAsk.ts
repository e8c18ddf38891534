import { drill, drillLevels, drillSolution } from '@harbor-latch/core/trace/drill';
import { TraceAskError } from './traceAsk';

export interface DrillOptions {
  readonly seed: string;
  readonly level: string;
  readonly reveal?: boolean;
}

const MOST_SEED = 2 ** 31;

/** A drill as it is asked for. @throws TraceAskError */
export function drilled({ seed: typed, level: typedLevel, reveal = false }: DrillOptions): unknown {
  const seed = Number(typed);
  if (!/^\d+$/.test(typed) || seed > MOST_SEED)
    throw new TraceAskError('bad-seed', `--seed is a whole number from 0, not "${typed}".`, '$.seed');
  const level = drillLevels.find((one) => String(one) === typedLevel);
  if (!level)
    throw new TraceAskError('bad-level', `--level is ${drillLevels.join(', ')}; not "${typedLevel}".`, '$.level');
  return { ...drill(seed, level), ...(reveal ? drillSolution(seed, level) : {}) };
}
