import type { ConductorColour } from '@harbor-latch/core/schemes/index';
import type { ReactNode } from 'react';
import { View } from 'react-native';
import { insulation } from '../../drawing/colours';
import { Card } from '../../ui/Card';
import { usePalette } from '../../ui/theme';
import { Words } from '../../ui/Words';

const RAIL = 26;

/** A stop along the way from dry to wet, with the conductors that run past it at its side. */
export function Stage({
  title,
  under,
  conductors,
  children,
}: {
  readonly title: string;
  readonly under: string;
  readonly conductors: readonly ConductorColour[];
  readonly children: ReactNode;
}) {
  const palette = usePalette();
  return (
    <View style={{ flexDirection: 'row' }}>
      <View aria-hidden style={{ width: RAIL, flexDirection: 'row', gap: 3, paddingLeft: 3, marginBottom: -12 }}>
        {conductors.map((colour, index) => (
          <Insulated key={index} colour={colour} casing={palette.muted} />
        ))}
      </View>
      <Card style={{ flex: 1, minWidth: 0 }}>
        <View style={{ padding: 14, gap: 16 }}>
          <View>
            <Words kind="heading" level={2}>
              {title}
            </Words>
            <Words kind="small" muted>
              {under}
            </Words>
          </View>
          {children}
        </View>
      </Card>
    </View>
  );
}

function Insulated({ colour, casing }: { readonly colour: ConductorColour; readonly casing: string }) {
  return (
    <View
      style={{
        width: 8,
        height: '100%',
        backgroundColor: insulation[colour.base],
        borderColor: casing,
        borderWidth: 1,
        alignItems: 'center',
      }}
    >
      {colour.stripe ? <View style={{ width: 2, height: '100%', backgroundColor: insulation[colour.stripe] }} /> : null}
    </View>
  );
}
