import { conductorWorking } from '@harbor-latch/core/explain/index';
import type { ConductorFacts } from '@harbor-latch/core/findings/index';
import { conductorSizes } from '@harbor-latch/core/reference/index';
import { formatAmps, formatOhms, formatQuantity, plainNumber } from '@harbor-latch/core/units/index';
import { memo } from 'react';
import { View } from 'react-native';
import type { Job } from '@harbor-latch/core/job/index';
import { useVerdicts } from '../../data/assessment';
import { useChoicesNow } from '../../data/circuits';
import { useUnits } from '../../data/settings';
import { colourInWords } from '@harbor-latch/core/schemes/colourInWords';
import type { ConductorColour } from '@harbor-latch/core/schemes/index';
import { Swatch } from '../../drawing/Swatch';
import { ChoiceRow } from '../../ui/ChoiceRow';
import { Icon } from '../../ui/Icon';
import { PressRow } from '../../ui/PressRow';
import { stylesFor } from '../../ui/stylesFor';
import { usePalette } from '../../ui/theme';
import { Words } from '../../ui/Words';
import { VerdictLines } from './VerdictLines';
import { verdictAt } from './verdictAt';
import { WorkingList } from './WorkingList';

const useStyles = stylesFor(({ line }) => ({
  row: { borderTopWidth: 1, borderColor: line },
  head: { flexDirection: 'row', alignItems: 'center', gap: 10, paddingVertical: 10, paddingHorizontal: 14 },
  name: { flex: 1, minWidth: 0 },
  opened: { padding: 14, paddingTop: 4, gap: 14 },
  figures: { flexDirection: 'row', flexWrap: 'wrap', paddingHorizontal: 14, paddingBottom: 12, gap: 4 },
  figure: { flex: 1, minWidth: 74 },
  value: { fontVariant: ['tabular-nums'] },
  choice: { gap: 6 },
}));

/** One conductor: its size with what follows from it; opened, the choice of another size and the working. */
export const ConductorRow = memo(function ConductorRow({
  job,
  circuitId,
  working,
  conductor,
  chosen,
  onToggle,
  onSize,
}: {
  /** Null for one that is closed: nothing in it is another for another job. */
  readonly job: Job | null;
  readonly circuitId: string;
  /** All conductors, whose working is shown; null too for one that is closed. */
  readonly working: readonly ConductorFacts[] | null;
  readonly conductor: ConductorFacts;
  /** The size that was chosen when this was worked out. */
  readonly chosen: string | undefined;
  readonly onToggle: (id: string) => void;
  /** Chooses a size, or the proposed one again with null. */
  readonly onSize: (id: string, size: string | null) => void;
}) {
  const styles = useStyles();
  const { planned } = conductor;
  const open = job !== null;
  return (
    <View style={styles.row}>
      <Head
        id={planned.id}
        name={planned.name}
        colour={planned.colour}
        size={conductor.size}
        overridden={conductor.overridden}
        open={open}
        onToggle={onToggle}
      />
      <ConductorFigures conductor={conductor} />
      {open ? (
        <View style={styles.opened}>
          <SizeAccess
            job={job}
            circuitId={circuitId}
            conductor={conductor}
            chosen={chosen}
            onSize={(size) => onSize(planned.id, size)}
          />
          {working ? <WorkingList steps={conductorWorking({ conductors: working }, planned.id)} /> : null}
        </View>
      ) : null}
    </View>
  );
});

interface HeadProps {
  readonly id: string;
  readonly name: string;
  readonly colour: ConductorColour;
  readonly size: string;
  readonly overridden: boolean;
  readonly open: boolean;
  readonly onToggle: (id: string) => void;
}

/** Whether two say the same; a colour is made anew with each plan. */
const sameHead = (before: HeadProps, now: HeadProps) =>
  before.id === now.id &&
  before.name === now.name &&
  before.colour.base === now.colour.base &&
  before.colour.stripe === now.colour.stripe &&
  before.size === now.size &&
  before.overridden === now.overridden &&
  before.open === now.open &&
  before.onToggle === now.onToggle;

/** What opens and closes a conductor's row. */
const Head = memo(function Head({ id, name, colour, size, overridden, open, onToggle }: HeadProps) {
  const palette = usePalette();
  const styles = useStyles();
  return (
    <PressRow
      onPress={() => onToggle(id)}
      expanded={open}
      label={`${name}, ${size}: ${open ? 'close' : 'open'}`}
      style={styles.head}
    >
      <Swatch colour={colour} />
      <View style={styles.name}>
        <Words kind="strong">{name}</Words>
        <Words kind="small" muted>
          {colourInWords(colour)}
          {overridden ? ' · chosen by you' : ''}
        </Words>
      </View>
      <Words kind="figure">{size}</Words>
      <Icon name={open ? 'chevron-up' : 'chevron-down'} size={24} color={palette.muted} />
    </PressRow>
  );
}, sameHead);

function ConductorFigures({ conductor }: { readonly conductor: ConductorFacts }) {
  const units = useUnits();
  const styles = useStyles();
  const { planned } = conductor;
  const figures = [
    ['Length', formatQuantity(planned.lengthM, planned.leg === 'stub' ? 'shortLength' : 'length', units)],
    ['May carry', formatAmps(conductor.ampacity.amps)],
    ['Resistance', formatOhms(conductor.resistanceOhm)],
    ['Drop', `${plainNumber(conductor.dropV, 3)}\u00a0V`],
  ] as const;
  return (
    <View style={styles.figures}>
      {figures.map(([name, value]) => (
        <Figure key={name} name={name} value={value} />
      ))}
    </View>
  );
}

const Figure = memo(function Figure({ name, value }: { readonly name: string; readonly value: string }) {
  const styles = useStyles();
  return (
    <View style={styles.figure}>
      <Words kind="small" muted>
        {name}
      </Words>
      <Words style={styles.value}>{value}</Words>
    </View>
  );
});

interface SizeChoiceProps {
  readonly job: Job;
  readonly circuitId: string;
  readonly conductor: ConductorFacts;
  readonly chosen: string | undefined;
  readonly onSize: (size: string | null) => void;
}

function SizeChoice({ job, circuitId, conductor, chosen, onSize }: SizeChoiceProps) {
  const styles = useStyles();
  const verdicts = useVerdicts(job, circuitId, conductor.planned.id);
  const now = useChoicesNow(job.boat.id, circuitId).conductors?.[conductor.planned.id];
  // The choice stands where it was touched at once; the figures follow.
  const taken = now === chosen ? conductor.size : (now ?? conductor.proposedSize);
  const choices = conductorSizes[conductor.family].map(({ size }) => ({
    value: size,
    ...verdictAt(verdicts, size),
    label: size === conductor.proposedSize ? `${size}, proposed` : size,
  }));
  return (
    <View style={styles.choice}>
      <Words kind="small" muted>
        What each size would bring is told before it is taken.
      </Words>
      <ChoiceRow
        label={`Size of the ${conductor.planned.name.toLowerCase()}`}
        choices={choices}
        value={taken}
        ahead
        onChoose={(size) => onSize(size === conductor.proposedSize ? null : size)}
      />
      <VerdictLines verdicts={verdicts} values={choices.map(({ value }) => value)} taken={taken} />
    </View>
  );
}

/** The choice of a size, or why there is none here. */
function SizeAccess(props: SizeChoiceProps) {
  const { planned } = props.conductor;
  if (planned.duty === 'lead' || planned.sameSizeAs !== undefined) {
    return (
      <Words kind="small" muted>
        {planned.duty === 'lead' ? 'Comes with the pump; enter it in the survey.' : 'Takes the size of the feed.'}
      </Words>
    );
  }
  return <SizeChoice {...props} />;
}
