import type { AssessedCircuit } from '@harbor-latch/core/assess/assessed';
import { standingBy } from '@harbor-latch/core/assess/standing';
import { circuitWorking } from '@harbor-latch/core/explain/index';
import { legKeys, legKinds, legOf } from '@harbor-latch/core/job/legs';
import type { CircuitFacts } from '@harbor-latch/core/findings/index';
import { defaults, dropSchools, protectionFamilies } from '@harbor-latch/core/reference/index';
import { formatPercent, formatVolts } from '@harbor-latch/core/units/index';
import { memo, useState } from 'react';
import { View } from 'react-native';
import { Card } from '../../ui/Card';
import { Icon } from '../../ui/Icon';
import { PressRow } from '../../ui/PressRow';
import { StandingBadge } from '../../ui/Standing';
import { usePalette } from '../../ui/theme';
import { Words } from '../../ui/Words';
import { WorkingList } from './WorkingList';

type Sized = Extract<AssessedCircuit, { status: 'sized' }>;

/** The answer in one look: sizes, fuse, and what reaches the pump. */
export const AnswerCard = memo(function AnswerCard({ facts, findings }: Pick<Sized, 'facts' | 'findings'>) {
  const palette = usePalette();
  const [open, setOpen] = useState(false);
  const standing = standingBy(findings);
  const worst = findings.filter((finding) => finding.severity === standing).length;
  const estimated = estimatesOf(facts.circuit);
  const rated = facts.supplies.find((row) => row.supplyV === defaults.ratedSupplyV);
  return (
    <Card>
      <View style={{ padding: 16, gap: 12 }}>
        <StandingBadge
          standing={standing}
          word={standing === 'good' ? 'Good' : `${standing === 'stop' ? 'Stop' : 'Caution'}: ${worst} to solve`}
        />
        <View style={{ flexDirection: 'row', flexWrap: 'wrap', columnGap: 24, rowGap: 8 }}>
          <Figure name="Conductors" value={sizesInWords(facts)} />
          <Figure
            name={protectionFamilies[facts.protection.kind].name.replace(/^./, (letter) => letter.toUpperCase())}
            value={`${facts.protection.ratingA}\u00a0A`}
          />
          {rated ? <Figure name="At the pump from 12.0 V" value={formatVolts(rated.pumpV)} /> : null}
        </View>
        {estimated.length === 0 ? null : (
          <View style={{ flexDirection: 'row', gap: 8 }}>
            <Icon name="help-circle-outline" size={20} color={palette.caution} />
            <Words kind="small" style={{ flex: 1, minWidth: 0 }}>
              {`By estimates: ${estimated.join(', ')}. Measure before cable is cut.`}
            </Words>
          </View>
        )}
        <DropGauge percent={facts.dropPercent} allowed={dropSchools[facts.dropSchool].percent} volts={facts.dropV} />
        <PressRow
          label={open ? 'Hide working' : 'Show working'}
          expanded={open}
          onPress={() => setOpen(!open)}
          style={{ flexDirection: 'row', alignItems: 'center', gap: 6 }}
        >
          <Icon name="calculator-variant-outline" size={22} color={palette.accent} />
          <Words color={palette.accent}>{open ? 'Hide working' : 'Show working'}</Words>
        </PressRow>
        {open ? <WorkingList steps={circuitWorking(facts)} /> : null}
      </View>
    </Card>
  );
});

/** "10 AWG", or the sizes in use where they differ, largest number first. */
function sizesInWords(facts: CircuitFacts): string {
  const carrying = facts.conductors.filter(({ planned }) => planned.duty === 'pump');
  return [...new Set(carrying.map((conductor) => conductor.size))].join(', ');
}

/** What the answer stands on that nobody measured. */
function estimatesOf({ legs, pump }: CircuitFacts['circuit']): string[] {
  const lengths = legKeys.filter((key) => legOf({ legs }, key).guessed === true).map((key) => legKinds[key].name);
  return [...lengths, ...(pump.catalogue === undefined ? [] : ['the pump’s figures'])];
}

/** One figure with its name over it. */
export function Figure({ name, value }: { readonly name: string; readonly value: string }) {
  return (
    <View style={{ flexShrink: 1 }}>
      <Words kind="small" muted>
        {name}
      </Words>
      <Words kind="bigFigure">{value}</Words>
    </View>
  );
}

/** How much of the allowed drop is used, as a bar and in words. */
function DropGauge({
  percent,
  allowed,
  volts,
}: {
  readonly percent: number;
  readonly allowed: number;
  readonly volts: number;
}) {
  const palette = usePalette();
  const over = percent > allowed * (1 + 1e-9);
  const scale = Math.max(allowed * 1.25, percent * 1.05);
  return (
    <View style={{ gap: 6 }}>
      <View
        aria-hidden
        style={{
          height: 12,
          borderRadius: 6,
          backgroundColor: palette.raised,
          borderWidth: 1,
          borderColor: palette.line,
          overflow: 'hidden',
        }}
      >
        <View
          style={{
            position: 'absolute',
            left: 0,
            top: 0,
            bottom: 0,
            width: `${(100 * percent) / scale}%`,
            backgroundColor: over ? palette.stop : palette.good,
          }}
        />
        <View
          style={{
            position: 'absolute',
            top: 0,
            bottom: 0,
            left: `${(100 * allowed) / scale}%`,
            width: 3,
            backgroundColor: palette.text,
          }}
        />
      </View>
      <Words kind="small">
        {`Conductors lose ${formatVolts(volts)}, ${formatPercent(percent)} of 12 V. ${over ? 'More than' : 'Within'} the ${allowed}\u00a0% allowed.`}
      </Words>
    </View>
  );
}
