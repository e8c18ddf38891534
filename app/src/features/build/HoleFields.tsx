import type { BuildList } from '@harbor-latch/core/build/buildList';
import type { HoleWord } from '@harbor-latch/core/build/outlet';
import { sealants, type Sealant } from '@harbor-latch/core/reference/index';
import { formatQuantity } from '@harbor-latch/core/units/index';
import { View } from 'react-native';
import { useUnits } from '../../data/settings';
import { ChoiceField } from '../../fields/ChoiceField';
import { FoldedCard } from '../../fields/FoldedCard';
import { NumberField } from '../../fields/NumberField';
import { Icon } from '../../ui/Icon';
import { usePalette } from '../../ui/theme';
import { Words } from '../../ui/Words';

const step = { metric: 1, us: 0.05 };

/** The hole for the skin fitting and the one for the panel, with what is refused about them. */
export function HoleFields({ index, list }: { readonly index: number; readonly list: BuildList }) {
  const units = useUnits();
  const { outlet, panel, outletAt } = list.cutOuts;
  const outletPath = ['circuits', index, 'build', 'outlet'] as const;
  const cutOutPath = ['circuits', index, 'build', 'cutOut'] as const;
  const size = (metres: number) => formatQuantity(metres, 'shortLength', units);
  return (
    <>
      <FoldedCard
        title="Hole for the skin fitting"
        summary={
          outlet
            ? `Drill ${formatQuantity(outlet.holeM, 'shortLength', units, units === 'us' ? 2 : 1)}`
            : 'Measure its thread first'
        }
      >
        <NumberField
          path={[...outletPath, 'threadM']}
          label="Thread, across"
          quantity="shortLength"
          step={step}
          guide="Measured over the crests with a caliper; the size by name is that of the hose."
        />
        <NumberField
          path={[...outletPath, 'holeM']}
          label="Hole, as drilled"
          quantity="shortLength"
          step={step}
          {...(outlet ? { assumed: outlet.holeM } : {})}
        />
        <NumberField path={[...outletPath, 'flangeM']} label="Flange, across" quantity="shortLength" step={step} />
        <ChoiceField
          path={[...outletPath, 'sealant']}
          label="Sealant"
          assumed="polyurethane"
          choices={(Object.keys(sealants) as Sealant[]).map((value) => ({ value, label: sealants[value].name }))}
        />
        <ChoiceField
          path={[...outletPath, 'cored']}
          label="Cored hull there"
          assumed={false}
          nothing={false}
          choices={[
            { value: false, label: 'No' },
            { value: true, label: 'Yes' },
          ]}
        />
        {outletAt.length > 0 ? (
          <View style={{ gap: 2 }}>
            <Words kind="strong">Outlet over the water outside</Words>
            {outletAt.map(({ pose, overM }) => (
              <View key={pose} style={{ flexDirection: 'row', gap: 10 }}>
                <Words kind="small" style={{ flex: 1, minWidth: 0 }}>
                  {pose}
                </Words>
                <Words kind="small">
                  {overM === null ? 'not known' : overM < 0 ? `${size(-overM)} under` : size(overM)}
                </Words>
              </View>
            ))}
          </View>
        ) : (
          <Words kind="small" muted>
            How far the outlet lies over the water is not known: survey the boat’s water first.
          </Words>
        )}
        <HoleWords
          words={[
            ...(outlet?.words ?? []),
            ...list.problems
              .filter(({ at }) => at === 'skin-fitting')
              .filter(({ message }) => !outlet?.words.some((one) => one.message === message)),
          ]}
        />
      </FoldedCard>
      <FoldedCard
        title="Cut-out for the panel"
        summary={panel ? `${size(panel.widthM)} × ${size(panel.heightM)}` : 'Not measured'}
      >
        <NumberField path={[...cutOutPath, 'widthM']} label="Width" quantity="shortLength" step={step} />
        <NumberField path={[...cutOutPath, 'heightM']} label="Height" quantity="shortLength" step={step} />
        <NumberField
          path={[...cutOutPath, 'cornerM']}
          label="Corners, radius"
          quantity="shortLength"
          step={step}
          assumed={0.003}
        />
        <NumberField
          path={[...cutOutPath, 'depthM']}
          label="Depth with its terminals"
          quantity="shortLength"
          step={step}
        />
        <NumberField path={[...cutOutPath, 'roomM']} label="Room behind" quantity="shortLength" step={step} />
        <NumberField path={[...cutOutPath, 'edgeM']} label="To the nearest edge" quantity="shortLength" step={step} />
        <HoleWords words={panel?.words ?? []} />
      </FoldedCard>
    </>
  );
}

function HoleWords({ words }: { readonly words: readonly HoleWord[] }) {
  const palette = usePalette();
  return words.map(({ refused, message }) => (
    <View key={message} style={{ flexDirection: 'row', gap: 8 }}>
      <Icon name={refused ? 'alert-octagon' : 'information'} size={20} color={refused ? palette.stop : palette.muted} />
      <Words style={{ flex: 1, minWidth: 0 }}>{message}</Words>
    </View>
  ));
}
