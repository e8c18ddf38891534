import type { AssessedCircuit } from '@harbor-latch/core/assess/index';
import { defaultWindingOhm } from '@harbor-latch/core/circuit/index';
import type { Battery, Circuit, LegKey } from '@harbor-latch/core/job/index';
import {
  batteryChemistry,
  conductorSizes,
  defaults,
  dropSchools,
  internalResistanceOhm,
} from '@harbor-latch/core/reference/index';
import { schemes, type ConductorColour, type Role } from '@harbor-latch/core/schemes/index';
import { View } from 'react-native';
import type { Draft } from '../../data/draft';
import { Notice } from '../../ui/Notice';
import { ChoiceField } from './ChoiceField';
import { BoatForm } from './BoatForm';
import { More } from './More';
import { NumberField } from './NumberField';
import { Stage } from './Stage';
import { TextField } from './TextField';

const red: ConductorColour = { base: 'red' };
const legColours: Readonly<Record<Role, readonly ConductorColour[]>> = {
  supply: [red],
  manual: [{ base: 'brown' }, { base: 'brown', stripe: 'white' }],
  auto: [{ base: 'brown', stripe: 'white' }],
  negative: [{ base: 'black' }],
};

const legGuides: Readonly<Record<LegKey, string>> = {
  sourceToPanel:
    'From the fuse to the switch, along the route the cable takes. Run a cord along it and measure the cord.',
  panelToBilge: 'From the switch to the pump’s leads, with a drip loop and the slack to lift pump and float out.',
  bilgeToNegative: 'From the pump’s leads back to the negative bus. The current returns this way: it counts as much.',
};

const length = { metric: 0.1, us: 0.5 };

/** What can be seen and measured of a circuit, from the dry end to the wet end and back. */
export function SurveyStation({
  draft,
  index,
  assessed,
}: {
  readonly draft: Draft;
  readonly index: number;
  readonly assessed: AssessedCircuit;
}) {
  const circuit = draft.job.circuits[index];
  if (!circuit) return null;
  const [sourceLeg, bilgeLeg, negativeLeg] = schemes[circuit.scheme].legs;
  return (
    <BoatForm draft={draft}>
      <View style={{ gap: 12 }}>
        <Needs assessed={assessed} />
        <SourceStage draft={draft} index={index} circuit={circuit} />
        {sourceLeg ? <LegStage index={index} leg={sourceLeg} circuit={circuit} /> : null}
        <PanelStage index={index} />
        {bilgeLeg ? <LegStage index={index} leg={bilgeLeg} circuit={circuit} /> : null}
        <PumpStage index={index} circuit={circuit} />
        {negativeLeg ? <LegStage index={index} leg={negativeLeg} circuit={circuit} /> : null}
        <JudgeStage index={index} />
      </View>
    </BoatForm>
  );
}

function Needs({ assessed }: { readonly assessed: AssessedCircuit }) {
  if (assessed.status === 'sized') return null;
  const count = assessed.needs.length;
  return (
    <Notice tone="note" icon="progress-pencil">
      {`${count === 1 ? 'One figure is' : `${count} figures are`} still needed before this circuit can be sized: ${assessed.needs.map((need) => need.label.toLowerCase()).join('; ')}. Everything else has a default.`}
    </Notice>
  );
}

function SourceStage({
  draft,
  index,
  circuit,
}: {
  readonly draft: Draft;
  readonly index: number;
  readonly circuit: Circuit;
}) {
  const batteryIndex = Math.max(
    0,
    draft.job.batteries.findIndex((battery) => battery.id === circuit.batteryId),
  );
  const battery = draft.job.batteries[batteryIndex];
  const path = ['batteries', batteryIndex] as const;
  const capacityAh = battery?.capacityAh ?? defaults.capacityAh;
  return (
    <Stage title="Source" under="Battery and fuse. Dry, at hand." conductors={[red]}>
      {draft.job.batteries.length > 1 ? (
        <ChoiceField
          path={['circuits', index, 'batteryId']}
          label="Fed from"
          assumed={circuit.batteryId}
          choices={draft.job.batteries.map(({ id, name }) => ({ value: id, label: name }))}
        />
      ) : null}
      <NumberField
        path={['circuits', index, 'source', 'stubLengthM']}
        label="Battery to fuse"
        quantity="shortLength"
        step={{ metric: 10, us: 0.5 }}
        assumed={defaults.stubLengthM}
        guide="Along the conductor. This piece is protected by nothing: keep it short."
      />
      <ChoiceField
        path={['circuits', index, 'source', 'stubSheathed']}
        label="That piece is"
        assumed={false}
        choices={[
          { value: false, label: 'Open' },
          { value: true, label: 'Sheathed' },
        ]}
      />
      <More title={battery?.name ?? 'Battery'} summary={batteryWords(battery)}>
        <ChoiceField
          path={[...path, 'chemistry']}
          label="Battery"
          assumed="lead-acid"
          choices={Object.entries(batteryChemistry).map(([value, { name }]) => ({ value, label: name }))}
        />
        <NumberField
          path={[...path, 'capacityAh']}
          label="Capacity"
          quantity="charge"
          step={{ metric: 10, us: 10 }}
          assumed={defaults.capacityAh}
        />
        <NumberField
          path={[...path, 'internalOhm']}
          label="Internal resistance"
          quantity="resistance"
          step={{ metric: 0.001, us: 0.001 }}
          assumed={internalResistanceOhm(battery?.chemistry ?? 'lead-acid', capacityAh)}
          guide="Only where a battery tester gave it. Type milliohms as “6 mΩ”."
        />
      </More>
    </Stage>
  );
}

/** "lead-acid, 100 Ah by default" */
function batteryWords(battery: Battery | undefined): string {
  const { name } = batteryChemistry[battery?.chemistry ?? 'lead-acid'];
  return battery?.capacityAh === undefined
    ? `${name}, ${defaults.capacityAh} Ah by default`
    : `${name}, ${battery.capacityAh} Ah`;
}

function LegStage({
  index,
  leg,
  circuit,
}: {
  readonly index: number;
  readonly circuit: Circuit;
  readonly leg: { readonly key: LegKey; readonly name: string; readonly role: Role; readonly cores: number };
}) {
  const path = ['circuits', index, 'legs', leg.key] as const;
  return (
    <Stage
      title={leg.name}
      under={`${leg.cores === 1 ? 'One conductor' : `${leg.cores} conductors, one cable`} to pull.`}
      conductors={legColours[leg.role]}
    >
      <NumberField
        path={[...path, 'lengthM']}
        label={`${leg.name}, one way`}
        quantity="length"
        step={length}
        needed
        guide={legGuides[leg.key]}
      />
      <ChoiceField
        path={[...path, 'engineSpace']}
        label="Route"
        assumed={false}
        choices={[
          { value: false, label: 'Clear of engine' },
          { value: true, label: 'In engine space' },
        ]}
      />
      <More title="Insulation" summary={insulationWords(circuit.legs[leg.key].insulationC)}>
        <ChoiceField
          path={[...path, 'insulationC']}
          label="Insulation rated"
          assumed={defaults.insulationC}
          choices={[60, 75, 90, 105].map((value) => ({ value, label: `${value}\u00a0°C` }))}
          guide="Printed on the cable."
        />
      </More>
    </Stage>
  );
}

function insulationWords(insulationC: number | undefined): string {
  return insulationC === undefined ? `${defaults.insulationC} °C by default` : `${insulationC} °C`;
}

function PanelStage({ index }: { readonly index: number }) {
  return (
    <Stage title="Panel" under="The three-way switch. Dry, at hand." conductors={[red]}>
      <ChoiceField
        path={['circuits', index, 'manual']}
        label="Manual"
        assumed="latching"
        choices={[
          { value: 'latching', label: 'Stays on' },
          { value: 'momentary', label: 'Springs back' },
        ]}
        guide="Springing back cannot be forgotten on; staying on frees the hands."
      />
    </Stage>
  );
}

function PumpStage({ index, circuit }: { readonly index: number; readonly circuit: Circuit }) {
  const path = ['circuits', index, 'pump'] as const;
  const { currentA } = circuit.pump;
  const labelV = circuit.pump.labelV ?? defaults.labelV;
  return (
    <Stage title="Bilge" under="Pump and float. Wet, a crawl." conductors={legColours.manual}>
      <NumberField
        path={[...path, 'currentA']}
        label="Pump amperes"
        quantity="current"
        step={{ metric: 0.1, us: 0.1 }}
        needed
        guide="From the label, or measured with the pump under water. Most bilge pumps draw 2 to 16 A."
      />
      <NumberField
        path={[...path, 'makerFuseA']}
        label="Maker’s fuse"
        quantity="current"
        step={{ metric: 1, us: 1 }}
        guide="Printed on many pumps. No larger fuse may be used."
      />
      <NumberField
        path={[...path, 'openFlowLPerH']}
        label="Open flow"
        quantity="flow"
        step={{ metric: 100, us: 50 }}
        guide="The figure on the box, at no height. Check whether it says litres or gallons."
      />
      <More
        title="More of the pump"
        summary={`Label at ${labelV} V, flow at ${circuit.pump.openFlowV ?? defaults.openFlowV} V, shut-off head, winding`}
      >
        <NumberField
          path={[...path, 'labelV']}
          label="At label volts"
          quantity="voltage"
          step={{ metric: 0.1, us: 0.1 }}
          assumed={defaults.labelV}
        />
        <NumberField
          path={[...path, 'openFlowV']}
          label="Flow given at"
          quantity="voltage"
          step={{ metric: 0.1, us: 0.1 }}
          assumed={defaults.openFlowV}
        />
        <NumberField
          path={[...path, 'shutOffHeadM']}
          label="Shut-off head"
          quantity="head"
          step={{ metric: 0.1, us: 0.5 }}
          guide="The height at which nothing comes out any more."
        />
        <NumberField
          path={[...path, 'windingOhm']}
          label="Winding, measured"
          quantity="resistance"
          step={{ metric: 0.1, us: 0.1 }}
          {...(currentA === undefined ? {} : { assumed: defaultWindingOhm(currentA, labelV) })}
          guide="Fuse out. The lowest reading of several shaft positions, less the meter’s leads."
        />
      </More>
    </Stage>
  );
}

function JudgeStage({ index }: { readonly index: number }) {
  const path = ['circuits', index, 'choices'] as const;
  return (
    <Stage title="Judged by" under="How much drop is allowed, and in which sizes." conductors={legColours.negative}>
      <ChoiceField
        path={[...path, 'dropSchool']}
        label="Drop school"
        assumed="critical"
        choices={Object.entries(dropSchools).map(([value, { percent }]) => ({ value, label: `${percent}\u00a0%` }))}
        guide={dropSchools.critical.reason}
      />
      <ChoiceField
        path={[...path, 'family']}
        label="Cable sizes"
        assumed="awg"
        choices={Object.keys(conductorSizes).map((value) => ({ value, label: value === 'awg' ? 'AWG' : 'mm²' }))}
        guide="Sizes you have chosen yourself stay as they are."
      />
      <TextField path={['circuits', index, 'name']} label="Name of this circuit" needed />
      <TextField path={['circuits', index, 'note']} label="Note" lines={3} />
    </Stage>
  );
}
