import type { WellSurvey } from '@harbor-latch/core/job/index';
import { formatQuantity, type UnitSystem } from '@harbor-latch/core/units/index';
import { View } from 'react-native';
import type { JobPath } from '../../../data/jobPath';
import { ChoiceRow } from '../../../ui/ChoiceRow';
import { Words } from '../../../ui/Words';
import { useField } from '../../../fields/FieldContext';
import { NumberField } from '../../../fields/NumberField';
import { TextField } from '../../../fields/TextField';
import { Measured } from './Measured';
import { MeasureWell } from './MeasureWell';
import { SmallButton } from './SmallButton';
import { WellLimits, WellMembers } from './WellThings';

type SectionKind = WellSurvey['section']['kind'];

const sections: Readonly<Record<SectionKind, { readonly name: string; readonly first: WellSurvey['section'] }>> = {
  box: { name: 'Box', first: { kind: 'box', widthM: 0.4 } },
  v: { name: 'V', first: { kind: 'v', deadriseDeg: 14, widthM: 0.6 } },
  round: { name: 'Round', first: { kind: 'round', radiusM: 0.4 } },
  table: {
    name: 'Table',
    first: {
      kind: 'table',
      rows: [
        { heightM: 0.05, areaM2: 0.01 },
        { heightM: 0.2, areaM2: 0.08 },
      ],
    },
  },
};

/** A well in words: "V, 1.6 m long, estimate". */
export function wellInWords({ section, aftM, foreM, guessed }: WellSurvey, units: UnitSystem): string {
  return `${sections[section.kind].name}, ${formatQuantity(foreM - aftM, 'length', units)} long${guessed ? ', estimate' : ''}`;
}

/** A well: where it lies about its pump, its section, what stands in it. */
export function WellFields({ well, index }: { readonly well: WellSurvey; readonly index: number }) {
  const path = ['wells', index] as const;
  const section = useField([...path, 'section']);
  return (
    <>
      <Measured path={path} />
      <TextField path={[...path, 'name']} label="Name of the well" needed />
      <MeasureWell well={well} />
      <NumberField
        path={[...path, 'aftM']}
        label="Aft end, forward of the pump"
        quantity="shortLength"
        step={{ metric: 10, us: 0.5 }}
        needed
        signed
        guide="Measured from the pump; behind it, so 0 or negative."
      />
      <NumberField
        path={[...path, 'foreM']}
        label="Fore end, forward of the pump"
        quantity="shortLength"
        step={{ metric: 10, us: 0.5 }}
        needed
        signed
      />
      <View style={{ gap: 4 }}>
        <Words kind="strong">Section across</Words>
        <ChoiceRow
          label="Section across"
          value={well.section.kind}
          choices={Object.entries(sections).map(([value, { name }]) => ({ value, label: name }))}
          onChoose={(kind) => section.replace(sections[kind as SectionKind].first)}
        />
      </View>
      <SectionFields section={well.section} path={[...path, 'section']} />
      <NumberField
        path={[...path, 'floorM']}
        label="Lowest point at the pump, over its base"
        quantity="shortLength"
        step={{ metric: 5, us: 0.2 }}
        assumed={0}
        signed
        guide="A pump on a plate stands higher than the bilge: then this is negative."
      />
      <NumberField
        path={[...path, 'slopeDeg']}
        label="Floor rises forward by"
        quantity="angle"
        step={{ metric: 0.5, us: 0.5 }}
        assumed={0}
        signed
      />
      <NumberField
        path={[...path, 'centreYM']}
        label="Its middle, to starboard of the pump"
        quantity="shortLength"
        step={{ metric: 10, us: 0.5 }}
        assumed={0}
        signed
      />
      <NumberField
        path={[...path, 'topM']}
        label="Spills over at, over the pump’s base"
        quantity="shortLength"
        step={{ metric: 10, us: 0.5 }}
        signed
        guide="Where its water runs on into the rest of the boat: the top of a sump, a bulkhead’s sill."
      />
      <WellLimits well={well} path={path} />
      <WellMembers well={well} path={path} />
    </>
  );
}

function SectionFields({ section, path }: { readonly section: WellSurvey['section']; readonly path: JobPath }) {
  switch (section.kind) {
    case 'box':
      return (
        <NumberField
          path={[...path, 'widthM']}
          label="Width"
          quantity="shortLength"
          step={{ metric: 10, us: 0.5 }}
          needed
        />
      );
    case 'v':
      return (
        <>
          <NumberField
            path={[...path, 'deadriseDeg']}
            label="Deadrise"
            quantity="angle"
            step={{ metric: 1, us: 1 }}
            needed
            guide="The angle of the bottom against level, each side."
          />
          <NumberField
            path={[...path, 'widthM']}
            label="Width between its walls"
            quantity="shortLength"
            step={{ metric: 10, us: 0.5 }}
            needed
          />
        </>
      );
    case 'round':
      return (
        <NumberField
          path={[...path, 'radiusM']}
          label="Radius"
          quantity="shortLength"
          step={{ metric: 10, us: 0.5 }}
          needed
          guide="Of the circle the bottom follows; above its middle the walls stand upright."
        />
      );
    case 'table':
      return <TableRows section={section} path={path} />;
    default:
      return section satisfies never;
  }
}

function TableRows({
  section,
  path,
}: {
  readonly section: Extract<WellSurvey['section'], { kind: 'table' }>;
  readonly path: JobPath;
}) {
  const field = useField([...path, 'rows']);
  const { rows } = section;
  const last = rows[rows.length - 1];
  return (
    <View style={{ gap: 12 }}>
      <Words kind="small" muted>
        Section area below each height, from the lowest point upwards: both grow from row to row.
      </Words>
      {rows.map((_, at) => (
        <View key={at} style={{ gap: 8 }}>
          <NumberField
            path={[...path, 'rows', at, 'heightM']}
            label={`Height ${at + 1}`}
            quantity="shortLength"
            step={{ metric: 10, us: 0.5 }}
            needed
          />
          <NumberField
            path={[...path, 'rows', at, 'areaM2']}
            label={`Area below height ${at + 1}`}
            quantity="area"
            step={{ metric: 0.01, us: 0.1 }}
            needed
          />
          {rows.length > 2 ? (
            <SmallButton
              onPress={() => field.replace(rows.filter((_row, place) => place !== at))}
            >{`Remove height ${at + 1}`}</SmallButton>
          ) : null}
        </View>
      ))}
      <SmallButton
        onPress={() =>
          field.replace([
            ...rows,
            { heightM: round((last?.heightM ?? 0) + 0.1), areaM2: round((last?.areaM2 ?? 0) + 0.05) },
          ])
        }
      >
        Add a height
      </SmallButton>
    </View>
  );
}

const round = (value: number) => Math.round(value * 1000) / 1000;
