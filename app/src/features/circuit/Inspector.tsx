import type { AssessedCircuit } from '@harbor-latch/core/assess/assessed';
import { defaults } from '@harbor-latch/core/reference/index';
import { formatAmps, formatOhms, formatQuantity, plainNumber, type UnitSystem } from '@harbor-latch/core/units/index';
import { View } from 'react-native';
import { IconButton } from 'react-native-paper';
import { useUnits } from '../../data/settings';
import { colourInWords } from '@harbor-latch/core/schemes/colourInWords';
import { BigButton } from '../../ui/BigButton';
import { Icon } from '../../ui/Icon';
import { standingLook } from '../../ui/Standing';
import { usePalette } from '../../ui/theme';
import { Words } from '../../ui/Words';

/** What was touched in the drawing, in words, at the foot of a phone. */
export function Inspector({
  assessed,
  selected,
  onClose,
  onSize,
}: {
  readonly assessed: AssessedCircuit;
  readonly selected: string | null;
  readonly onClose: () => void;
  readonly onSize: () => void;
}) {
  const palette = usePalette();
  const units = useUnits();
  const about = selected === null ? null : describe(assessed, selected, units);
  return (
    <View
      role="status"
      style={{
        backgroundColor: palette.surface,
        borderTopWidth: 1,
        borderColor: palette.line,
        paddingHorizontal: 14,
        paddingVertical: 10,
        gap: 6,
      }}
    >
      {about === null ? (
        <Words
          muted
        >{`Touch a conductor or a part. Amperes: the most each carries, with ${defaults.runningSupplyV} V at the battery.`}</Words>
      ) : (
        <>
          <View style={{ flexDirection: 'row', alignItems: 'center' }}>
            <Words kind="heading" level={2} style={{ flex: 1, minWidth: 0 }} numberOfLines={1}>
              {about.title}
            </Words>
            <IconButton
              icon="close"
              size={22}
              style={{ width: 48, height: 48, margin: -6 }}
              accessibilityLabel="Close"
              onPress={onClose}
            />
          </View>
          {about.lines.map((line) => (
            <Words key={line}>{line}</Words>
          ))}
          {about.findings.map((finding) => (
            <View key={finding.id} style={{ flexDirection: 'row', gap: 8 }}>
              <Icon
                name={standingLook[finding.severity].icon}
                size={20}
                color={palette[standingLook[finding.severity].ink]}
              />
              <Words kind="small" style={{ flex: 1, minWidth: 0 }}>
                {finding.message}
              </Words>
            </View>
          ))}
          {assessed.status !== 'incomplete' ? (
            <View style={{ alignSelf: 'flex-start' }}>
              <BigButton mode="outlined" onPress={onSize}>
                Sizes and working
              </BigButton>
            </View>
          ) : null}
        </>
      )}
    </View>
  );
}

function describe(assessed: AssessedCircuit, id: string, units: UnitSystem) {
  if (assessed.status === 'incomplete')
    return { title: 'Not sized yet', lines: ['Finish the survey to see figures here.'], findings: [] };
  const findings = assessed.findings.filter((finding) => finding.at.includes(id));
  const conductor = assessed.facts.conductors.find((candidate) => candidate.planned.id === id);
  if (conductor) {
    const { planned } = conductor;
    return {
      title: `${planned.name}, ${conductor.size}`,
      lines: [
        `${colourInWords(planned.colour)}, ${formatQuantity(planned.lengthM, planned.leg === 'stub' ? 'shortLength' : 'length', units)}, ${formatOhms(conductor.resistanceOhm)}`,
        `Carries ${formatAmps(conductor.runningA)} of ${formatAmps(conductor.ampacity.amps)}; loses ${plainNumber(conductor.dropV, 3)} V`,
      ],
      findings,
    };
  }
  const part = assessed.plan.parts.find((candidate) => candidate.part.id === id);
  return { title: part?.name ?? id, lines: part ? [`Stands in the ${part.band}.`] : [], findings };
}
