import { carriedOver, freeName, jobFields, newCircuit, type Circuit, type Job } from '@harbor-latch/core/job/index';
import { typicalCircuitWater } from '@harbor-latch/core/water/typical';
import { schemeOf } from '@harbor-latch/core/schemes/index';
import { zodResolver } from '@hookform/resolvers/zod';
import { useState } from 'react';
import { useForm } from 'react-hook-form';
import { ScrollView, useWindowDimensions, View } from 'react-native';
import { z } from 'zod';
import { choicesOfNew, useSettings } from '../../data/settings';
import { SchemeList } from '../../fields/SchemeList';
import { ChoiceRow } from '../../ui/ChoiceRow';
import { DialogField } from '../../ui/DialogField';
import { ModalDialog } from '../../ui/ModalDialog';
import { Words } from '../../ui/Words';

const ALONE = '';

/** What a circuit is called where nobody says: by what it is for. */
function nameBy(scheme: string): string {
  const { duty } = schemeOf({ scheme });
  switch (duty) {
    case 'primary':
      return 'Bilge pump';
    case 'backup':
      return 'Backup pump';
    case 'alarm':
      return 'Bilge alarm';
    default:
      return duty satisfies never;
  }
}

/** Asks how a new circuit is wired, which of the boat's circuits it takes its cables over from, and what it is called. */
export function NewCircuitDialog({
  job,
  onCircuit,
  onClose,
}: {
  readonly job: Job;
  readonly onCircuit: (circuit: Circuit) => void;
  readonly onClose: () => void;
}) {
  const { settings } = useSettings();
  const { height } = useWindowDimensions();
  const { circuits } = job;
  const [scheme, setScheme] = useState('three-way-float');
  const [sister, setSister] = useState(circuits[0]?.id ?? ALONE);
  const { control, handleSubmit } = useForm({
    resolver: zodResolver(z.object({ name: z.literal('').or(jobFields.name) })),
    defaultValues: { name: '' },
  });
  const suggested = freeName(
    nameBy(scheme),
    circuits.map(({ name }) => name),
  );
  const submit = () =>
    void handleSubmit(({ name }) => {
      const id = crypto.randomUUID();
      const alone: Circuit = {
        ...newCircuit(id, name === '' ? suggested : name, scheme, job.batteries[0]?.id ?? ''),
        choices: choicesOfNew(settings),
      };
      onCircuit(
        beside(
          alone,
          circuits.find((one) => one.id === sister),
          job,
        ),
      );
    })();
  return (
    <ModalDialog title="Add a circuit" action="Add" onAction={submit} onClose={onClose}>
      <ScrollView
        style={{ maxHeight: height - 230, marginHorizontal: -8 }}
        contentContainerStyle={{ gap: 14, padding: 8 }}
      >
        {circuits.length > 0 ? (
          <View style={{ gap: 4 }}>
            <Words kind="strong">Battery, cable lengths and surroundings</Words>
            <ChoiceRow
              label="Carried over from"
              value={sister}
              choices={[
                ...circuits.map(({ id, name }) => ({ value: id, label: `As ${name}` })),
                { value: ALONE, label: 'Of its own' },
              ]}
              onChoose={setSister}
            />
          </View>
        ) : null}
        <DialogField
          control={control}
          name="name"
          label="Name of the circuit"
          hint={suggested}
          onSubmit={submit}
          // On a phone a keyboard would cover what is to be chosen.
          autoFocus={matchMedia('(pointer: fine)').matches}
        />
        <View style={{ gap: 4 }}>
          <Words kind="strong">Wired as</Words>
          <SchemeList label="Wired as" taken={scheme} onTake={setScheme} />
        </View>
      </ScrollView>
    </ModalDialog>
  );
}

/** A circuit with what it shares with its sister, standing in the same well with a hose that is guessed. */
function beside(circuit: Circuit, sister: Circuit | undefined, { boat }: Job): Circuit {
  if (!sister) return circuit;
  const shared = carriedOver(circuit, sister);
  if (!sister.water) return shared;
  const pump = schemeOf(circuit).options.includes('pump') ? circuit.pump : null;
  return { ...shared, water: typicalCircuitWater(sister.water.wellId, pump, boat.hullLengthM) };
}
