import type { Filling } from '@harbor-latch/core/prove/proveTest';
import { formatQuantity } from '@harbor-latch/core/units/index';
import { useState } from 'react';
import { View } from 'react-native';
import { useUnits } from '../../data/settings';
import { Icon } from '../../ui/Icon';
import { PressRow } from '../../ui/PressRow';
import { usePalette } from '../../ui/theme';
import { Words } from '../../ui/Words';

/** What was poured so far, and where the water stands by it: the float starts there or it does not. */
export function PouredWater({ filling: { startsL, levelsM } }: { readonly filling: Filling }) {
  const units = useUnits();
  const [litres, setLitres] = useState(0);
  const dry = levelsM[0] ?? 0;
  const depth = (levelM: number) => formatQuantity(levelM - dry, 'shortLength', units);
  return (
    <View style={{ gap: 4 }}>
      <Litres
        litres={litres}
        step={startsL > MANY_L ? BUCKET_L : LITRES_STEP}
        least={0}
        most={levelsM.length - 1}
        said="poured in"
        onLitres={setLitres}
      />
      <Words kind="small" role="status">
        {litres === 0
          ? `From dry, ${startsL.toFixed(1)} L lift the float to where it starts.`
          : `The water stands ${depth(levelsM[litres] ?? dry)} over the lowest place. ${
              litres >= startsL ? 'It should have started by now.' : `It starts after ${startsL.toFixed(1)} L.`
            }`}
      </Words>
    </View>
  );
}

const LITRES_STEP = 1;
/** A deep well is filled by the half bucket. */
const BUCKET_L = 5;
const MANY_L = 15;

/** How much is measured out. */
export function Litres({
  litres,
  onLitres,
  step = LITRES_STEP,
  least = 1,
  most = Infinity,
  said = 'measured out',
}: {
  readonly litres: number;
  readonly onLitres: (litres: number) => void;
  readonly step?: number;
  readonly least?: number;
  readonly most?: number;
  readonly said?: string;
}) {
  const palette = usePalette();
  const key = {
    minWidth: 52,
    alignItems: 'center',
    justifyContent: 'center',
    borderRadius: 10,
    borderWidth: 1,
    borderColor: palette.line,
  } as const;
  return (
    <View style={{ flexDirection: 'row', alignItems: 'center', gap: 10 }}>
      <PressRow
        label={step === 1 ? 'A litre less' : `${step} L less`}
        onPress={() => onLitres(Math.max(least, litres - step))}
        style={key}
      >
        <Icon name="minus" color={palette.text} />
      </PressRow>
      <Words kind="figure">{`${litres} L`}</Words>
      <PressRow
        label={step === 1 ? 'A litre more' : `${step} L more`}
        onPress={() => onLitres(Math.min(most, litres + step))}
        style={key}
      >
        <Icon name="plus" color={palette.text} />
      </PressRow>
      <Words kind="small" muted style={{ flex: 1 }}>
        {said}
      </Words>
    </View>
  );
}
