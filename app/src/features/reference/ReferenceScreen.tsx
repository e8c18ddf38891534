import {
  awgAmpacity,
  barrels,
  buildRules,
  batteryChemistry,
  cautions,
  conductorSizes,
  defaults,
  dropSchools,
  metricAmpacity,
  minimumSize,
  jointSchools,
  ourRules,
  protectionFamilies,
  protectionPlace,
  pumpCatalogue,
  sealants,
  ruleSets,
  type AmpacityTable,
  type CableFamily,
  type OurRule,
} from '@harbor-latch/core/reference/index';
import { formatOpening, formatQuantity, plainNumber, type UnitSystem } from '@harbor-latch/core/units/index';
import { View } from 'react-native';
import { useUnits } from '../../data/settings';
import { Screen } from '../../ui/Screen';
import { Words } from '../../ui/Words';
import { FoldedCard } from '../../fields/FoldedCard';
import { ReferenceTable } from './ReferenceTable';

const ampacityTables: Readonly<Record<CableFamily, AmpacityTable>> = { awg: awgAmpacity, metric: metricAmpacity };

/** Every table, rule, default and caution the answers stand on, with its source. */
export function ReferenceScreen() {
  const units = useUnits();
  return (
    <Screen title="Tables, rules and cautions" back="/">
      <FoldedCard title="Cautions" summary="Before any work">
        {Object.values(cautions).map((caution) => (
          <Words key={caution}>{caution}</Words>
        ))}
      </FoldedCard>
      <FoldedCard title="Drop schools" summary="3 % and 10 %, and why">
        {Object.values(dropSchools).map(({ name, reason, source }) => (
          <Entry key={name} title={name} text={reason} source={source} />
        ))}
      </FoldedCard>
      <FoldedCard title="Rule sets" summary="Where they differ">
        {Object.values(ruleSets).map(({ name, reason, placeM, placeSource }) => (
          <Entry
            key={name}
            title={name}
            text={`${reason} Fuse within ${formatQuantity(placeM, 'shortLength', units)} of the source.`}
            source={placeSource}
          />
        ))}
      </FoldedCard>
      {(['awg', 'metric'] as const).map((family) => (
        <Conductors key={family} family={family} />
      ))}
      <FoldedCard title="Fuses and breakers" summary="Ratings, opening windows, interrupt ratings">
        <Words kind="small" muted>
          {`Place: ${protectionPlace.source}. Replace a window by the maker’s curve where you have it.`}
        </Words>
        {Object.values(protectionFamilies).map((family) => (
          <View key={family.name} style={{ gap: 6 }}>
            <Words kind="strong" level={3}>
              {family.name}
            </Words>
            <Words kind="small">{`${family.ratingsA.join(', ')} A. Breaks ${family.interruptA} A.`}</Words>
            {family.opening ? (
              <ReferenceTable
                label={`Opening window of the ${family.name}`}
                heads={['× rating', 'Fastest', 'Slowest']}
                rows={family.opening.map(([multiple, fastest, slowest]) => [
                  String(multiple),
                  formatOpening(fastest),
                  formatOpening(slowest),
                ])}
              />
            ) : (
              <Words kind="small">No opening curve is published with the family: “not shown”, never “good”.</Words>
            )}
            <Words kind="small" muted>{`Source: ${family.source}.`}</Words>
          </View>
        ))}
      </FoldedCard>
      <FoldedCard title="Classes of pumps" summary="Typical figures to begin with">
        <ReferenceTable
          label="Classes of pumps"
          heads={['Class', 'A', 'Open flow', 'Head', 'Fuse A']}
          rows={Object.values(pumpCatalogue).map((row) => [
            row.name,
            String(row.currentA),
            formatQuantity(row.openFlowLPerH, 'flow', units),
            formatQuantity(row.shutOffHeadM, 'head', units),
            String(row.makerFuseA),
          ])}
        />
        <Words kind="small" muted>
          Generic, without makers. Replace by the label’s figures.
        </Words>
      </FoldedCard>
      <FoldedCard title="Our rules" summary="Thresholds that no published rule gives, and why">
        <Words kind="small" muted>
          Findings that stand on one of these name “our rule” as their source.
        </Words>
        <Rules rules={Object.values(ourRules)} />
      </FoldedCard>
      <FoldedCard title="Rules for building" summary="Slack, spares, holes and what joints cost">
        <Rules rules={Object.values(buildRules)} />
        <ReferenceTable
          label="Ways of joining"
          heads={['Way', 'mΩ', 'Minutes']}
          rows={Object.values(jointSchools).map(({ name, ohm, minutes }) => [
            name,
            String(ohm * 1000),
            String(minutes),
          ])}
        />
        <ReferenceTable
          label="Sealants at 20 °C"
          heads={['Sealant', 'Takes a load', 'Cured through']}
          rows={Object.values(sealants).map(({ name, skinH, fullH }) => [name, `${skinH} h`, `${fullH} h`])}
        />
      </FoldedCard>
      <FoldedCard title="Butt barrels" summary="Colour and copper by size">
        <ReferenceTable
          label="Butt barrels"
          heads={['Colour', 'Sizes', 'mm² of copper']}
          rows={barrels.map(({ colour, sizes, fromMm2, toMm2 }) => [colour, sizes, `${fromMm2} to ${toMm2}`])}
        />
      </FoldedCard>
      <FoldedCard title="Defaults" summary="What is assumed where nothing was measured">
        <ReferenceTable label="Defaults" heads={['What', 'Assumed']} rows={defaultRows(units)} />
      </FoldedCard>
    </Screen>
  );
}

function Entry({ title, text, source }: { readonly title: string; readonly text: string; readonly source: string }) {
  return (
    <View>
      <Words kind="strong">{title}</Words>
      <Words>{text}</Words>
      <Words kind="small" muted>{`Source: ${source}.`}</Words>
    </View>
  );
}

function Conductors({ family }: { readonly family: CableFamily }) {
  const table = ampacityTables[family];
  const name = family === 'awg' ? 'AWG' : 'mm²';
  return (
    <FoldedCard title={`Conductors in ${name}`} summary="Resistance and what they may carry">
      <ReferenceTable
        label={`Resistance of conductors in ${name}`}
        heads={['Size', 'mm²', 'Ω/km at 20 °C']}
        rows={conductorSizes[family].map((row) => [row.size, String(row.areaMm2), plainNumber(row.ohmPerKm20C, 3)])}
      />
      <Words kind="small" muted>
        {family === 'awg'
          ? 'From the area, annealed copper, × (1 + 0.00393·(T − 20 °C)).'
          : 'IEC 60228 class 5, tinned: the nominal area is a class. × (1 + 0.00393·(T − 20 °C)).'}
      </Words>
      <ReferenceTable
        label={`Amperes of conductors in ${name}, by insulation`}
        heads={['Size', ...table.insulationC.map((insulationC) => `${insulationC}°`)]}
        rows={[
          ...Object.entries(table.amps).map(([size, amps]) => [size.replace(/ (AWG|mm²)$/, ''), ...amps.map(String)]),
          ['In engine space', ...table.engineSpaceFactor.map((factor) => (factor === null ? 'no' : `×${factor}`))],
        ]}
      />
      <Words kind="small" muted>
        {`Amperes in free air. Source: ${table.source}, as commonly published. Smallest outside a sheath: ${minimumSize[family]}.`}
      </Words>
    </FoldedCard>
  );
}

/** A threshold with its unit; lengths in the unit system in force. */
/** Figures of our own, each with why it is what it is. */
function Rules({ rules }: { readonly rules: readonly OurRule[] }) {
  const units = useUnits();
  return rules.map(({ name, value, unit, reason }) => (
    <View key={name}>
      <Words kind="strong">{`${name} ${ruleFigure(value, unit, units)}`}</Words>
      <Words kind="small" muted>
        {reason}
      </Words>
    </View>
  ));
}

function ruleFigure(value: number, unit: string, units: UnitSystem): string {
  if (unit === 'm') return formatQuantity(value, 'shortLength', units);
  return unit.startsWith('of ') ? `${plainNumber(100 * value, 0)} % ${unit}` : `${plainNumber(value, 2)}\u00a0${unit}`;
}

function defaultRows(units: UnitSystem): string[][] {
  return [
    ['Supplies compared', defaults.suppliesV.map((volts) => `${volts.toFixed(1)} V`).join(', ')],
    [
      'Conductor temperature',
      `${formatQuantity(defaults.conductorC, 'temperature', units)}, in an engine space ${formatQuantity(defaults.engineSpaceC, 'temperature', units)}`,
    ],
    ['Insulation', formatQuantity(defaults.insulationC, 'temperature', units)],
    ['Battery to fuse', formatQuantity(defaults.stubLengthM, 'shortLength', units)],
    ['Fuse resistance', `${defaults.fuseDropV} V ÷ rating`],
    ['Joint', `${defaults.jointOhm * 1000} mΩ`],
    ['Switch contact', `${defaults.switchContactOhm * 1000} mΩ`],
    ['Float contact', `${defaults.floatContactOhm * 1000} mΩ`],
    ['Winding', `label volts ÷ (${defaults.lockedOverLabel} × label amperes)`],
    ['Label volts', `${defaults.labelV} V, flow at ${defaults.openFlowV} V`],
    ['Starting inrush', `${defaults.inrushSupplyV} V for ${ourRules.inrushS.value} s`],
    ['LED', `${defaults.ledDropV} V and ${defaults.ledOhm} Ω`],
    ['Filament lamp', `${defaults.pilotLampOhm} Ω`],
    ...Object.values(batteryChemistry).map(({ name, emptyV, spanV, internalOhmAt100Ah }) => [
      `Battery, ${name}`,
      `${emptyV} + ${spanV}·charge V; ${internalOhmAt100Ah * 1000} mΩ at 100 Ah`,
    ]),
  ];
}
