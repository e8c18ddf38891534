import { cautions } from '@harbor-latch/core/reference/index';
import type { ProvePhase } from '@harbor-latch/core/prove/proveTest';
import { View } from 'react-native';
import { BigButton } from '../../ui/BigButton';
import { Card } from '../../ui/Card';
import { Words } from '../../ui/Words';

/** What a proof is, before it is begun. */
export function BeginProof({
  phase,
  count,
  onBegin,
}: {
  readonly phase: ProvePhase;
  readonly count: number;
  readonly onBegin: () => void;
}) {
  return (
    <Card>
      <View style={{ padding: 14, gap: 10 }}>
        <Words kind="heading" level={2}>
          {phase === 'bench' ? 'Before anything is in the bilge' : 'Once it is in the boat'}
        </Words>
        <Words>
          {phase === 'bench'
            ? `${count} tests of pump, float and joints with real water: new parts are faulty often enough.`
            : `${count} readings against what this very circuit must show at its battery: the dead ones first, then with the fuse in.`}
        </Words>
        <Words kind="small" muted>
          {phase === 'bench' ? cautions.autoStart : `${cautions.proveDead} ${cautions.autoStart}`}
        </Words>
        <Words kind="small" muted>
          What is expected stays hidden until it is read. Each reading is signed by this device and kept without a
          signal; several people may read on their own phones.
        </Words>
        <BigButton icon="play" onPress={onBegin}>
          Begin
        </BigButton>
      </View>
    </Card>
  );
}
