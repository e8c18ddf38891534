import type { Build, CableColour, Circuit, StepMarks } from '@harbor-latch/core/job/index';
import type { JointSchool } from '@harbor-latch/core/reference/index';

/** What of building is left empty is left out of the job. */
function without<Part extends object>(part: Part): Part | undefined {
  return Object.values(part).every((value) => value === undefined) ? undefined : part;
}

/** The circuit with its building changed; what was set to nothing is gone. */
export function withBuild({ build: before, ...circuit }: Circuit, change: (build: Build) => Build): Circuit {
  const kept = Object.entries(change(before ?? {})).filter(([, value]) => value !== undefined);
  return kept.length === 0 ? circuit : { ...circuit, build: Object.fromEntries(kept) };
}

function withEntry<Value>(
  record: Readonly<Record<string, Value>> | undefined,
  key: string,
  value: Value | null,
): Record<string, Value> | undefined {
  const { [key]: _before, ...others } = record ?? {};
  return value === null ? without(others) : { ...others, [key]: value };
}

/** A conductor in another colour; null as planned. */
export function withColour(circuit: Circuit, conductor: string, colour: CableColour | null): Circuit {
  return withBuild(circuit, ({ colours, ...build }) => {
    const next = withEntry(colours, conductor, colour);
    return next ? { ...build, colours: next } : build;
  });
}

/** All joints, or one of them, made another way; null: as the rest. */
export function withSchool(circuit: Circuit, joint: string | null, school: JointSchool | null): Circuit {
  return withBuild(circuit, ({ joints, school: all, ...build }) => {
    const own =
      joint === null
        ? joints
        : withEntry<{ school?: JointSchool | undefined }>(joints, joint, school === null ? null : { school });
    const rest = joint === null ? (school ?? undefined) : all;
    return { ...build, ...(own ? { joints: own } : {}), ...(rest === undefined ? {} : { school: rest }) };
  });
}

/** A disconnect fitted at the pump or float, or not. */
export function withDisconnect(circuit: Circuit, at: 'pump' | 'float', fitted: boolean): Circuit {
  return withBuild(circuit, ({ disconnects, ...build }) => {
    const { [at]: _before, ...others } = disconnects ?? {};
    const next = fitted ? { ...others, [at]: true } : without(others);
    return next ? { ...build, disconnects: next } : build;
  });
}

/** A part of the list that is on board already, or not. */
export function withAboard(circuit: Circuit, part: string, is: boolean): Circuit {
  return withBuild(circuit, ({ aboard, ...build }) => {
    const next = withEntry<true>(aboard, part, is ? true : null);
    return next ? { ...build, aboard: next } : build;
  });
}

/** A step ticked, left out with a reason, or open again. */
export function withMark({ steps, ...circuit }: Circuit, step: string, mark: StepMarks[string] | null): Circuit {
  const next = withEntry(steps, step, mark);
  return next ? { ...circuit, steps: next } : circuit;
}
