import type { BuildConductor } from '@harbor-latch/core/build/buildList';
import type { YardOrder } from '@harbor-latch/core/build/openJobs';
import { cutByPiece, pieceKey } from '@harbor-latch/core/build/stockLedger';
import type { Circuit, Job } from '@harbor-latch/core/job/index';
import { formatQuantity } from '@harbor-latch/core/units/index';
import { format } from 'date-fns';
import { useRouter } from 'expo-router';
import { View } from 'react-native';
import { useUnits } from '../../data/settings';
import { useStock, useStockHand } from '../../stock/useStock';
import { BigButton } from '../../ui/BigButton';
import { Words } from '../../ui/Words';

/** What is cut of a conductor: from which drum, or from which it had best be. */
export function StockCut({
  job,
  circuit,
  conductor: { id, name, cable, cutM },
  order,
}: {
  readonly job: Job;
  readonly circuit: Circuit;
  readonly conductor: BuildConductor;
  /** What the boat still takes, with what to cut it from. */
  readonly order: YardOrder | null;
}) {
  const units = useUnits();
  const router = useRouter();
  const { state } = useStock();
  const hand = useStockHand();
  if (cutM === null) return null;
  // A sheathed cable is cut once, for all its cores.
  const piece = cable ?? id;
  const what = cable === null ? name : 'The cable';
  const length = formatQuantity(cutM, 'length', units);
  const key = pieceKey(job.boat.id, circuit.id, piece);
  const done = cutByPiece(state).get(key);
  const drumInWords = (drumId: string) => {
    const drum = state.drums.find((one) => one.id === drumId);
    return drum ? `${drum.size}, ${drum.colour}` : 'a drum that is gone';
  };
  if (done) {
    return (
      <View style={{ gap: 6, alignItems: 'flex-start' }}>
        <Words kind="strong">
          {`Cut: ${formatQuantity(done.metres, 'length', units)} from ${drumInWords(done.drum)}, ${format(new Date(done.at), 'd MMM')}${done.by === '' ? '' : `, ${done.by}`}`}
        </Words>
        <BigButton mode="text" icon="undo" onPress={() => hand.takeBack(done.entry, `${what}: the cut was taken back`)}>
          Take the cut back
        </BigButton>
      </View>
    );
  }
  const best = order?.cutting.cuts.find(({ conductor }) => conductor === key);
  const drum = state.drums.find((one) => one.id === best?.drum);
  if (!best || !drum) {
    return (
      <View style={{ gap: 6, alignItems: 'flex-start' }}>
        <Words kind="small" muted>
          {state.drums.length === 0
            ? 'No drum is listed in the stock.'
            : `No drum in the stock holds ${length} of it: it is to be ordered.`}
        </Words>
        <BigButton mode="text" icon="package-variant" onPress={() => router.navigate('/stock')}>
          To the stock
        </BigButton>
      </View>
    );
  }
  const rest = formatQuantity(drum.metres - best.metres, 'length', units);
  return (
    <View style={{ gap: 6, alignItems: 'flex-start' }}>
      <BigButton
        mode="outlined"
        icon="content-cut"
        onPress={() =>
          hand.note(
            {
              kind: 'cut',
              drum: drum.id,
              metres: best.metres,
              for: {
                boatId: job.boat.id,
                circuitId: circuit.id,
                piece,
                words: `${job.boat.name}, ${cable === null ? name : `${circuit.name}, cable`}`.slice(0, 300),
              },
            },
            `${what}: ${length} cut`,
          )
        }
      >
        {`Cut ${length} off ${drum.size}, ${drum.colour}`}
      </BigButton>
      <Words kind="small" muted>
        {`${drum.opened === null ? 'A whole drum' : 'Begun'}${drum.place === null ? '' : `, ${drum.place}`}; leaves ${rest} on it. The least waste for this boat.`}
      </Words>
    </View>
  );
}
