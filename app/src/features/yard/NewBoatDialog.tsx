import { freeName, jobFields, newJob, type Job } from '@harbor-latch/core/job/index';
import {
  exampleBoat,
  exampleBoatKeys,
  exampleBoats,
  type ExampleBoatKey,
} from '@harbor-latch/core/schemes/exampleBoats';
import { formatQuantity, parseQuantity, shownUnit, type UnitSystem } from '@harbor-latch/core/units/index';
import { zodResolver } from '@hookform/resolvers/zod';
import { useRouter } from 'expo-router';
import { useState } from 'react';
import { useForm, useWatch } from 'react-hook-form';
import { View } from 'react-native';
import { z } from 'zod';
import { useDrafts } from '../../data/boats';
import { choicesOfNew, useSettings, useUnits } from '../../data/settings';
import { ChoiceRow } from '../../ui/ChoiceRow';
import { DialogField } from '../../ui/DialogField';
import { ModalDialog } from '../../ui/ModalDialog';
import { Words } from '../../ui/Words';

/** Usual lengths, in the unit that hulls are given in. */
const LENGTHS: Readonly<Record<UnitSystem, readonly string[]>> = {
  metric: ['4', '6', '8', '10', '12', '15'],
  us: ['14', '20', '26', '32', '40', '50'],
};

/** The length as typed, m; undefined where nothing is, or what is wrong with it. */
function lengthOf(typed: string, units: UnitSystem): { readonly lengthM?: number } | { readonly wrong: string } {
  if (typed.trim() === '') return {};
  const parsed = parseQuantity(typed, 'length', units);
  if (!parsed.ok) return { wrong: parsed.message };
  const read = jobFields.hullLengthM.safeParse(parsed.base);
  return read.success ? { lengthM: read.data } : { wrong: read.error.issues[0]?.message ?? '' };
}

interface NewBoat {
  readonly name: string;
  readonly hullLengthM?: number;
  /** Kind of craft that she is begun from; null: from nothing. */
  readonly example: ExampleBoatKey | null;
}

export interface NewBoatProps {
  /** Kind of craft that is offered first. */
  readonly first?: ExampleBoatKey | null;
  /** Names of the boats in the yard. */
  readonly taken: readonly string[];
  readonly onClose: () => void;
}

const NOTHING = '';

/** Asks how long a new boat is, which the guesses about her water go by, and what she is called; both may be left out. */
export function NewBoatDialog({ taken, first = null, onClose }: NewBoatProps) {
  const add = useAddBoat();
  const units = useUnits();
  const [example, setExample] = useState<ExampleBoatKey | null>(first);
  const named = (lengthM?: number) =>
    freeName(
      example !== null
        ? exampleBoats[example].name
        : lengthM === undefined
          ? 'Boat'
          : `Boat of ${formatQuantity(lengthM, 'length', units, 1)}`,
      taken,
    );
  const length = z.string().transform((typed, context) => {
    const read = lengthOf(typed, units);
    if (!('wrong' in read)) return read.lengthM;
    context.addIssue({ code: 'custom', message: read.wrong });
    return z.NEVER;
  });
  const { control, handleSubmit, setValue } = useForm({
    resolver: zodResolver(z.object({ length, name: z.literal('').or(jobFields.name) })),
    defaultValues: { length: '', name: '' },
  });
  const typed = useWatch({ control, name: 'length' });
  const read = lengthOf(typed, units);
  const suggested = named('wrong' in read ? undefined : read.lengthM);
  const submit = () =>
    void handleSubmit(({ length: hullLengthM, name }) => {
      onClose();
      add({ name: name === '' ? suggested : name, example, ...(hullLengthM === undefined ? {} : { hullLengthM }) });
    })();
  return (
    <ModalDialog title="Add a boat" action="Add" onAction={submit} onClose={onClose}>
      <View style={{ gap: 4 }}>
        <Words kind="strong">Begin from</Words>
        <ChoiceRow
          label="Begin from"
          value={example ?? NOTHING}
          choices={[
            { value: NOTHING, label: 'Nothing' },
            ...exampleBoatKeys.map((key) => ({ value: key, label: exampleBoats[key].name })),
          ]}
          onChoose={(key) => setExample(exampleBoatKeys.find((one) => one === key) ?? null)}
        />
        {example === null ? null : (
          <Words kind="small" muted>
            {`${exampleBoats[example].summary} Every figure is an estimate until you measure it.`}
          </Words>
        )}
      </View>
      <Words kind="small" muted>
        {`How long is she, in ${shownUnit('length', units).symbol}? Guesses about her water go by it until they are measured.`}
      </Words>
      <ChoiceRow
        label="Usual lengths"
        value={typed}
        choices={LENGTHS[units].map((value) => ({ value, label: value }))}
        onChoose={(value) => setValue('length', value, { shouldValidate: true })}
      />
      <DialogField
        control={control}
        name="length"
        label="Length of the hull"
        hint={
          example === null
            ? 'May be left out'
            : `${formatQuantity(exampleBoats[example].hullLengthM, 'length', units, 1)} where left out`
        }
        onSubmit={submit}
        autoFocus={matchMedia('(pointer: fine)').matches}
      />
      <DialogField control={control} name="name" label="Name of the boat" hint={suggested} onSubmit={submit} />
    </ModalDialog>
  );
}

/** Adds a boat of this device's making, from an example or from nothing, and goes to her. */
function useAddBoat(): (boat: NewBoat) => void {
  const drafts = useDrafts();
  const router = useRouter();
  const { settings } = useSettings();
  return ({ name, hullLengthM, example }) => {
    const ids = { boatId: crypto.randomUUID(), batteryId: crypto.randomUUID() };
    const job: Job =
      example === null
        ? newJob(ids, name, hullLengthM)
        : exampleBoat(
            example,
            {
              ...ids,
              wellId: crypto.randomUUID(),
              circuitIds: exampleBoats[example].circuits.map(() => crypto.randomUUID()),
            },
            name,
            hullLengthM,
            choicesOfNew(settings),
          );
    drafts.add(job);
    router.navigate(`/boat/${job.boat.id}`);
  };
}
