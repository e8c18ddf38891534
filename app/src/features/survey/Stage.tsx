import type { ConductorColour } from '@harbor-latch/core/schemes/index';
import { useContext, useState, type ReactNode } from 'react';
import { View } from 'react-native';
import { useDrafts } from '../../data/boats';
import type { JobPath } from '../../data/jobPath';
import { insulation } from '@harbor-latch/core/drawing/colours';
import { DoubtsContext, FieldBoatContext } from '../../fields/FieldContext';
import { Card } from '../../ui/Card';
import { Icon } from '../../ui/Icon';
import { PressRow } from '../../ui/PressRow';
import { stylesFor } from '../../ui/stylesFor';
import { usePalette } from '../../ui/theme';
import { Words } from '../../ui/Words';

const RAIL = 26;

const useStyles = stylesFor(({ surface }) => ({
  stage: { flexDirection: 'row' },
  rail: { width: RAIL, flexDirection: 'row', gap: 3, paddingLeft: 3, marginBottom: -12 },
  card: { flex: 1, minWidth: 0 },
  head: {
    flexDirection: 'row',
    alignItems: 'center',
    gap: 10,
    paddingHorizontal: 14,
    paddingVertical: 10,
    backgroundColor: surface,
  },
  words: { flex: 1, minWidth: 0 },
  opened: { padding: 14, paddingTop: 6, gap: 16 },
}));

/** What is asked above all stages. */
const ABOVE = /\/(pump\/currentA|legs\/\w+\/lengthM)$/;

/** Whether a field of a stage has something to say before it is opened. */
function useAsks(of: JobPath): boolean {
  const drafts = useDrafts();
  const boat = useContext(FieldBoatContext);
  const doubts = useContext(DoubtsContext);
  const [typed] = useState(() => Object.keys(drafts.all().get(boat ?? '')?.typed ?? {}));
  const own = `${of.join('/')}/`;
  return [...doubts.keys(), ...typed].some((path) => path.startsWith(own) && !ABOVE.test(path));
}

/** A stop along the way from dry to wet, summed up in a line, with the conductors that run past it at its side. */
export function Stage({
  title,
  summary,
  conductors,
  of,
  children,
}: {
  readonly title: string;
  /** How it stands now. */
  readonly summary: string;
  readonly conductors: readonly ConductorColour[];
  /** Where its fields are: it opens by itself where one of them is doubted, or holds a text that is no value. */
  readonly of: JobPath;
  readonly children: ReactNode;
}) {
  const palette = usePalette();
  const styles = useStyles();
  const [chosen, setOpen] = useState<boolean | null>(null);
  const asks = useAsks(of);
  const open = chosen ?? asks;
  return (
    <View style={styles.stage}>
      <View aria-hidden style={styles.rail}>
        {conductors.map((colour, index) => (
          <Insulated key={index} colour={colour} casing={palette.muted} />
        ))}
      </View>
      <Card style={styles.card}>
        <PressRow expanded={open} label={`${title}: ${summary}`} onPress={() => setOpen(!open)} style={styles.head}>
          <View style={styles.words}>
            <Words kind="heading" level={2}>
              {title}
            </Words>
            <Words kind="small" muted>
              {summary}
            </Words>
          </View>
          <Icon name={open ? 'chevron-up' : 'chevron-down'} size={24} color={palette.muted} />
        </PressRow>
        {open ? <View style={styles.opened}>{children}</View> : null}
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
