import type { Netlist } from '@harbor-latch/core/circuit/index';
import { truthTableText, truthWords, type Consequences, type TruthWords } from '@harbor-latch/core/documents/index';
import type { Circuit } from '@harbor-latch/core/job/index';
import type { Plan } from '@harbor-latch/core/schemes/index';
import { formatAmps } from '@harbor-latch/core/units/index';
import { useMemo, useState } from 'react';
import { View } from 'react-native';
import { exportTable } from '../../data/exportTable';
import { printTable } from '../../data/print';
import { BigButton } from '../../ui/BigButton';
import { Card } from '../../ui/Card';
import { ChoiceRow } from '../../ui/ChoiceRow';
import { Icon } from '../../ui/Icon';
import { usePalette } from '../../ui/theme';
import { Words } from '../../ui/Words';

/** What runs, what lights and how much flows in every setting, computed; beside what the user expects. */
export function TruthPanel({
  title,
  netlist,
  plan,
  circuit,
  known,
  onExpects,
}: {
  readonly title: string;
  readonly netlist: Netlist;
  readonly plan: Plan;
  readonly circuit: Circuit;
  /** What is made of the circuit by faults, pulled fuses and wiring as found; null where it is whole. */
  readonly known: Consequences | null;
  readonly onExpects: (expects: Circuit['expects']) => void;
}) {
  const rows = useMemo(() => known?.rows ?? truthWords(netlist, plan), [known, netlist, plan]);
  const expects = circuit.expects ?? {};
  const [comparing, setComparing] = useState(Object.keys(expects).length > 0);
  const said = rows.filter(({ key }) => expects[key] !== undefined);
  const wrong = said.filter(({ key, runs }) => (expects[key] === 'runs') !== runs);
  const table = () => truthTableText(rows, expects);
  return (
    <View style={{ gap: 12 }}>
      <Words>
        {known
          ? `Every setting solved as it stands on the bench: ${known.should.size} of ${rows.length} otherwise than planned.`
          : 'Every setting of switch and float, solved.'}
      </Words>
      {comparing && said.length > 0 ? (
        <Words kind="strong" role="status">
          {wrong.length === 0
            ? `${said.length} of ${rows.length} compared, all as you expect.`
            : `${wrong.length} of ${said.length} compared ${wrong.length === 1 ? 'is' : 'are'} not as you expect.`}
        </Words>
      ) : null}
      <Card>
        {rows.map((row, index) => (
          <Row
            key={row.key}
            row={row}
            should={known?.should.get(row.key) ?? null}
            first={index === 0}
            expected={comparing ? (expects[row.key] ?? 'unsaid') : null}
            onExpect={(expected) => {
              const { [row.key]: _before, ...others } = expects;
              onExpects(expected === 'unsaid' ? others : { ...others, [row.key]: expected });
            }}
          />
        ))}
      </Card>
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 8 }}>
        <BigButton mode="outlined" onPress={() => setComparing(!comparing)}>
          {comparing ? 'Hide what I expect' : 'Compare with what I expect'}
        </BigButton>
        <BigButton mode="outlined" icon="printer-outline" onPress={() => printTable(`${title}, truth table`, table())}>
          Print
        </BigButton>
        <BigButton mode="outlined" icon="table-arrow-down" onPress={() => exportTable(`${title} truth table`, table())}>
          Export as CSV
        </BigButton>
      </View>
    </View>
  );
}

function inAmps(amps: number): string {
  return amps < 1e-5 ? '0\u00a0A' : formatAmps(amps);
}

type Expected = 'runs' | 'stands' | 'unsaid';

function Row({
  row,
  should,
  first,
  expected,
  onExpect,
}: {
  readonly row: TruthWords;
  /** What it should do, where it does something else. */
  readonly should: TruthWords | null;
  readonly first: boolean;
  readonly expected: Expected | null;
  readonly onExpect: (expected: Expected) => void;
}) {
  const palette = usePalette();
  const differs = expected !== null && expected !== 'unsaid' && (expected === 'runs') !== row.runs;
  return (
    <View
      style={{
        padding: 12,
        gap: 4,
        borderTopWidth: first ? 0 : 1,
        borderColor: palette.line,
        borderLeftWidth: should ? 6 : 0,
        borderLeftColor: palette.caution,
        backgroundColor: differs || should ? palette.cautionSoft : palette.surface,
      }}
    >
      <View style={{ flexDirection: 'row', gap: 10, alignItems: 'center' }}>
        <Icon
          name={row.runs ? 'play-circle' : 'stop-circle-outline'}
          size={24}
          color={row.runs ? palette.accent : palette.muted}
        />
        <View style={{ flex: 1, minWidth: 0 }}>
          <Words kind="strong">{row.setting}</Words>
          <Words kind="small">{[row.pump, ...row.others].join(' · ')}</Words>
        </View>
        <Words kind="strong" style={{ fontVariant: ['tabular-nums'] }}>
          {row.batteryA === null ? '–' : inAmps(row.batteryA)}
        </Words>
      </View>
      {should ? (
        <View style={{ flexDirection: 'row', gap: 6, alignItems: 'center' }}>
          <Icon name="not-equal-variant" size={18} color={palette.caution} />
          <Words kind="small" color={palette.caution} style={{ flex: 1, minWidth: 0 }}>
            {`Changed. It should be: ${[should.pump, ...should.others].join(' · ')}${should.batteryA === null ? '' : `, ${inAmps(should.batteryA)}`}`}
          </Words>
        </View>
      ) : null}
      {expected === null ? null : (
        <ChoiceRow
          label={`What I expect with ${row.setting}`}
          value={expected}
          choices={[
            { value: 'unsaid', label: '–' },
            { value: 'runs', label: 'Runs' },
            { value: 'stands', label: 'Stands' },
          ]}
          onChoose={onExpect}
        />
      )}
      {differs ? (
        <Words kind="small" color={palette.caution}>
          {`You expect that it ${expected}; it ${row.runs ? 'runs' : 'stands'}.`}
        </Words>
      ) : null}
    </View>
  );
}
