import {
  fittingSetting,
  measureOhms,
  measureTestLamp,
  measureVolts,
  type CircuitError,
  type TerminalRef,
} from '@harbor-latch/core/circuit/index';
import { terminalInWords, type Plan } from '@harbor-latch/core/schemes/index';
import { formatAmps, formatOhms, formatVolts } from '@harbor-latch/core/units/index';
import { View } from 'react-native';
import { BigButton } from '../../ui/BigButton';
import { Card } from '../../ui/Card';
import { ChoiceRow } from '../../ui/ChoiceRow';
import { Words } from '../../ui/Words';
import type { Bench } from './useBench';

export type Instrument = 'volts' | 'lamp' | 'ohms';

/** Where the probes are, which is next, and what hangs between them. */
export interface MeterState {
  readonly instrument: Instrument;
  readonly red: TerminalRef | null;
  readonly black: TerminalRef | null;
  readonly next: 'red' | 'black';
}

/** Red to be placed, black on the negative that the circuit has. */
export function restingMeter(plan: Plan): MeterState {
  const bus = plan.parts.some(({ part }) => part.id === 'bus');
  return { instrument: 'volts', red: null, black: bus ? { part: 'bus', terminal: 'stud' } : null, next: 'red' };
}

/** The meter after a terminal was touched: the probe whose turn it is goes there. */
export function withProbe(meter: MeterState, at: TerminalRef): MeterState {
  return { ...meter, [meter.next]: at };
}

const instruments = [
  { value: 'volts', label: 'Volts' },
  { value: 'lamp', label: 'Test lamp' },
  { value: 'ohms', label: 'Ohms' },
] as const;

/** A meter, a test lamp or an ohmmeter between two terminals. */
export function MeterPanel({
  bench,
  plan,
  posts,
  meter,
  onMeter,
}: {
  readonly bench: Bench;
  readonly plan: Plan;
  readonly posts: Readonly<Record<string, string>>;
  readonly meter: MeterState;
  readonly onMeter: (meter: MeterState) => void;
}) {
  const where = (end: TerminalRef | null) => (end ? terminalInWords(plan, end, posts) : 'touch a terminal');
  const reading = readingOf(bench, meter);
  return (
    <View style={{ gap: 12 }}>
      <ChoiceRow
        label="Instrument"
        choices={instruments}
        value={meter.instrument}
        onChoose={(instrument) => onMeter({ ...meter, instrument })}
      />
      <Card>
        <View role="status" aria-live="polite" style={{ padding: 14, gap: 2 }}>
          <Words kind="bigFigure">{reading.figure}</Words>
          <Words>{reading.words}</Words>
        </View>
      </Card>
      {(['red', 'black'] as const).map((probe) => (
        <View
          key={probe}
          style={{ flexDirection: 'row', alignItems: 'center', gap: 10, justifyContent: 'space-between' }}
        >
          <Words style={{ flex: 1, minWidth: 0 }}>
            {`${probe === 'red' ? 'Probe + ' : 'Probe − '}${where(meter[probe])}`}
          </Words>
          <BigButton
            mode={meter.next === probe ? 'contained' : 'outlined'}
            label={`Place probe ${probe === 'red' ? 'plus' : 'minus'} next`}
            onPress={() => onMeter({ ...meter, next: probe })}
          >
            {meter.next === probe ? 'Placing' : 'Place'}
          </BigButton>
        </View>
      ))}
      <Words kind="small" muted>
        Touch a terminal in the drawing to put the probe there. Nothing is pierced: only terminals are touched.
      </Words>
    </View>
  );
}

interface Reading {
  readonly figure: string;
  readonly words: string;
}

function readingOf({ netlist, state, row }: Bench, { instrument, red, black }: MeterState): Reading {
  if (!red || !black) return { figure: '–', words: 'Both probes must touch something.' };
  if (!row.point) return { figure: '–', words: 'No steady reading while the relay chatters.' };
  const setting = fittingSetting(netlist, state.setting);
  const probes = { red, black };
  try {
    switch (instrument) {
      case 'volts': {
        const volts = measureVolts(netlist, setting, probes);
        return { figure: formatVolts(Math.abs(volts) < 0.005 ? 0 : volts), words: 'Voltmeter, 10 MΩ' };
      }
      case 'lamp': {
        const { volts, amps, doing } = measureTestLamp(netlist, setting, probes);
        return {
          figure: doing === 'lit' ? 'Lit' : doing === 'dim' ? 'Dim' : 'Dark',
          words: `Test lamp of 30 Ω: ${formatVolts(Math.abs(volts) < 0.005 ? 0 : volts)} across it, ${formatAmps(Math.abs(amps) < 1e-6 ? 0 : amps)} through it`,
        };
      }
      case 'ohms': {
        const read = measureOhms(netlist, setting, probes);
        if (read.kind === 'live') return { figure: 'Live', words: read.message };
        return read.kind === 'open'
          ? { figure: 'Open', words: 'More than the meter’s 2 V can drive a current through' }
          : { figure: formatOhms(read.ohm), words: 'Ohmmeter, 1 mA, the source isolated' };
      }
      default:
        return instrument satisfies never;
    }
  } catch (error) {
    return { figure: '–', words: (error as CircuitError).message };
  }
}
