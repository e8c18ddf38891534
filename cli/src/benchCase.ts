import { assess } from '@harbor-latch/core/assess/index';
import {
  checkNetlist,
  faultCodes,
  settingOf,
  withFaults,
  withSet,
  type Netlist,
  type PlantedFault,
  type Setting,
} from '@harbor-latch/core/circuit/index';
import type { Job } from '@harbor-latch/core/job/index';

/** Options of the verbs that put one circuit on the bench. */
export interface BenchOptions {
  readonly circuit: string;
  readonly switch: string;
  readonly float: readonly string[];
  readonly set: readonly string[];
  readonly fault: readonly string[];
}

/** An option that asks for what there is not; `path` is where in the job or on the command line. */
export class BenchAskError extends Error {
  constructor(
    readonly code: string,
    message: string,
    readonly path: string,
  ) {
    super(message);
  }
}

export interface BenchCase {
  readonly netlist: Netlist;
  readonly setting: Setting;
  readonly title: string;
}

/** The circuit that the options name, in the setting and with the faults they ask for. */
export function benchCase(job: Job, options: BenchOptions): BenchCase {
  const index = job.circuits.findIndex(({ id }) => id === options.circuit);
  const assessed = assess(job)[index];
  const at = `$.circuits[${index}]`;
  if (!assessed) {
    const there = job.circuits.map(({ id, name }) => `${id} (${name})`).join(', ');
    throw new BenchAskError(
      'no-such-circuit',
      `No circuit has the id "${options.circuit}". There are: ${there}.`,
      '$.circuits',
    );
  }
  if (assessed.status === 'incomplete') {
    const needs = assessed.needs.map(({ label }) => label).join('; ');
    throw new BenchAskError('incomplete', `The circuit cannot be solved before this is known: ${needs}.`, at);
  }
  const [stray] = assessed.facts.behaviour.strays;
  if (stray) throw new BenchAskError('conductor-to-nowhere', stray.message, `${at}.rewired`);
  checkNetlist(assessed.netlist);
  const set = options.set.map(setFrom);
  const setting = settingOf(assessed.netlist, {
    position: options.switch,
    floats: options.float.map(floatFrom),
    set,
  });
  return {
    netlist: withSet(withFaults(assessed.netlist, options.fault.map(faultFrom)), set),
    setting,
    title: `${job.boat.name}, ${assessed.circuit.name}`,
  };
}

function floatFrom(text: string) {
  const [, id, position] = /^([^=]+)=(.+)$/.exec(text) ?? [];
  if (id === undefined || position === undefined)
    throw new BenchAskError('usage', `"${text}" is no float. Write --float ID=up or --float all=down.`, '--float');
  return { id, position };
}

function setFrom(text: string) {
  const [, id, position] = /^([^=]+)=(.+)$/.exec(text) ?? [];
  if (id === undefined || position === undefined)
    throw new BenchAskError(
      'usage',
      `"${text}" sets nothing. Write --set PART=POSITION, such as --set fuse=out.`,
      '--set',
    );
  return { id, position };
}

function faultFrom(text: string): PlantedFault {
  const [, code, degree, at] = /^([a-z-]+)(?:=([0-9.eE+-]+))?@(.+)$/.exec(text) ?? [];
  const known = faultCodes.find((one) => one === code);
  if (known === undefined || at === undefined) {
    throw new BenchAskError(
      'usage',
      `"${text}" is no fault. Write --fault CODE@PART, with one of: ${faultCodes.join(', ')}.`,
      '--fault',
    );
  }
  return { code: known, at, ...(degree === undefined ? {} : { degree: Number(degree) }) };
}
