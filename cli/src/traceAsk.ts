import type { AssessedAlarm, AssessedPump } from '@harbor-latch/core/assess/index';
import { diagnose, huntReadingsSchema, huntTree, NoSuchReading, sharpModel } from '@harbor-latch/core/trace/diagnose';
import { huntModel, symptomsOf, type HuntAsked } from '@harbor-latch/core/trace/huntModel';
import { huntInstruments, type Carried } from '@harbor-latch/core/trace/huntTest';
import { symptomCodes, type SymptomCode } from '@harbor-latch/core/trace/symptoms';
import { jsonPath } from '@harbor-latch/core/file/index';

/** Something about a hunt that cannot be asked. */
export class TraceAskError extends Error {
  constructor(
    readonly code: string,
    message: string,
    readonly path: string,
  ) {
    super(message);
  }
}

export interface DiagnoseOptions {
  readonly circuit: string;
  readonly symptoms?: boolean;
  readonly symptom?: string;
  readonly readings?: string;
  readonly access?: string;
  readonly instruments?: string;
  readonly model?: boolean;
  readonly tree?: boolean;
  readonly order?: string;
}

/** What the command answers about a circuit that is not as it should be. @param given what a file of readings holds @throws TraceAskError */
export function diagnosis(assessed: AssessedPump | AssessedAlarm, options: DiagnoseOptions, given: unknown): unknown {
  if (options.symptoms) return { symptoms: symptomsOf(assessed) };
  const asked = askedOf(assessed, options);
  if (options.model) return sharpModel(huntModel(assessed, asked));
  if (options.tree) return huntTree(huntModel(assessed, asked)).tree;
  const { order = 'best' } = options;
  if (order !== 'best' && order !== 'textbook')
    throw new TraceAskError('bad-order', `--order is best or textbook, not "${order}".`, '$.order');
  const readings = huntReadingsSchema.safeParse(given ?? []);
  if (!readings.success) {
    const [first] = readings.error.issues;
    throw new TraceAskError(
      'bad-readings',
      `Readings are a list of {test, value} or {test, outcome}: ${first?.message ?? 'not a list'}.`,
      jsonPath(first?.path ?? []),
    );
  }
  try {
    return diagnose(assessed, asked, readings.data, order);
  } catch (error) {
    if (error instanceof NoSuchReading)
      throw new TraceAskError('no-such-reading', error.message, jsonPath([error.at, 'test']));
    throw error;
  }
}

function askedOf(assessed: AssessedPump | AssessedAlarm, { symptom, access, instruments }: DiagnoseOptions): HuntAsked {
  const possible = symptomsOf(assessed);
  const codes = possible.map(({ code }) => code).join(', ');
  if (symptom === undefined)
    throw new TraceAskError('no-symptom', `--symptom is wanted; of this circuit: ${codes}.`, '$.symptom');
  const known = symptomCodes.find((code): code is SymptomCode => code === symptom);
  if (!known || !possible.some(({ code }) => code === known))
    throw new TraceAskError(
      'no-such-symptom',
      `No fault of this circuit shows "${symptom}". It can be: ${codes}.`,
      '$.symptom',
    );
  if (access !== undefined && access !== 'easy' && access !== 'hard')
    throw new TraceAskError('bad-access', `--access is easy or hard, not "${access}".`, '$.access');
  return {
    symptom: known,
    ...(access === undefined ? {} : { access }),
    ...(instruments === undefined ? {} : { carried: carriedIn(instruments) }),
  };
}

/** Instruments as typed, parted by commas; `none` for none at all. */
function carriedIn(text: string): Carried[] {
  if (text === 'none') return [];
  return text.split(',').map((word) => {
    const found = huntInstruments.find((one) => one === word.trim());
    if (!found)
      throw new TraceAskError(
        'bad-instruments',
        `--instruments is none, or some of ${huntInstruments.join(', ')}; not "${word}".`,
        '$.instruments',
      );
    return found;
  });
}
