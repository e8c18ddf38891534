import { legGuide, legKinds, legOf, type Circuit, type Job } from '@harbor-latch/core/job/index';
import { schemeOf, waysOutM } from '@harbor-latch/core/schemes/index';
import { formatQuantity } from '@harbor-latch/core/units/index';
import { View } from 'react-native';
import { useUnits } from '../../data/settings';
import { useField } from '../../fields/FieldContext';
import { NumberField } from '../../fields/NumberField';
import { BigButton } from '../../ui/BigButton';
import { Card } from '../../ui/Card';
import { Words } from '../../ui/Words';
import { Catalogue } from './Catalogue';
import { SchemeField } from './SchemeField';

const length = { metric: 0.1, us: 0.5 };
const picks = { metric: [1, 2, 3, 5, 8], us: [3, 6, 10, 15, 25] };

/** What must be decided and measured before anything can be sized: how it is wired, the pump, and how far it is. */
export function FirstStage({
  job,
  index,
  circuit,
}: {
  readonly job: Job;
  readonly index: number;
  readonly circuit: Circuit;
}) {
  const { legs, options } = schemeOf(circuit);
  const shares = circuit.sharesFeedWith !== undefined;
  const out = waysOutM(circuit, job.circuits);
  const units = useUnits();
  return (
    <Card>
      <View style={{ padding: 14, gap: 16 }}>
        <View>
          <Words kind="heading" level={2}>
            What it is, and how far
          </Words>
          <Words kind="small" muted>
            This is enough for sizes. Everything below has a default.
          </Words>
        </View>
        <SchemeField path={['circuits', index, 'scheme']} />
        {options.includes('pump') ? <Amperes index={index} /> : null}
        {legs
          .filter(({ key }) => !(shares && legKinds[key].ofFeed))
          .map(({ key, name }) => (
            <View key={key} style={{ gap: 6 }}>
              <NumberField
                path={['circuits', index, 'legs', key, 'lengthM']}
                label={`${name}, one way`}
                quantity="length"
                step={length}
                picks={picks}
                needed
                guide={legGuide(key, units)}
              />
              {legKinds[key].after === 'pump' && out !== undefined && differs(legOf(circuit, key).lengthM, out) ? (
                <WaysOut index={index} leg={key} out={out} />
              ) : null}
            </View>
          ))}
      </View>
    </Card>
  );
}

/** Sums of lengths differ in the last digit that is kept of a number. */
function differs(lengthM: number | undefined, out: number): boolean {
  return lengthM === undefined || Math.abs(lengthM - out) > 1e-6;
}

function Amperes({ index }: { readonly index: number }) {
  return (
    <View style={{ gap: 10 }}>
      <NumberField
        path={['circuits', index, 'pump', 'currentA']}
        label="Pump amperes"
        quantity="current"
        step={{ metric: 0.1, us: 0.1 }}
        picks={{ metric: [2.8, 4.6, 6.5, 8.4, 15], us: [2.8, 4.6, 6.5, 8.4, 15] }}
        needed
        guide="From the label, or a clamp meter round one lead with the pump under water. Most draw 2 to 16 A."
      />
      <Catalogue path={['circuits', index, 'pump']} />
    </View>
  );
}

/** The way back taken as long as the ways out, at a touch. */
function WaysOut({ index, leg, out }: { readonly index: number; readonly leg: string; readonly out: number }) {
  const field = useField(['circuits', index, 'legs', leg, 'lengthM']);
  const units = useUnits();
  return (
    <BigButton mode="outlined" icon="swap-horizontal" onPress={() => field.replace(Number(out.toFixed(6)))}>
      {`As far as the ways out: ${formatQuantity(out, 'length', units)}`}
    </BigButton>
  );
}
