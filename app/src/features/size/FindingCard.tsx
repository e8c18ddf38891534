import type { Finding } from '@harbor-latch/core/findings/index';
import { View } from 'react-native';
import { BigButton } from '../../ui/BigButton';
import { Icon } from '../../ui/Icon';
import { standingLook } from '../../ui/Standing';
import { usePalette } from '../../ui/theme';
import { Words } from '../../ui/Words';

/** A finding with its numbers, its rule and source, and the fix where there is one. */
export function FindingCard({
  finding,
  onFix,
}: {
  readonly finding: Finding;
  readonly onFix: (finding: Finding) => void;
}) {
  const palette = usePalette();
  const look = standingLook[finding.severity];
  const ink = palette[look.ink];
  return (
    <View
      style={{
        backgroundColor: palette.surface,
        borderRadius: 14,
        borderWidth: 1,
        borderColor: palette.line,
        borderLeftWidth: 6,
        borderLeftColor: ink,
        padding: 14,
        gap: 8,
      }}
    >
      <View style={{ flexDirection: 'row', gap: 8, alignItems: 'center' }}>
        <Icon name={look.icon} color={ink} />
        <Words kind="strong" color={ink} level={2}>
          {look.word}
        </Words>
      </View>
      <Words>{finding.message}</Words>
      <Words kind="small" muted>
        {`Rule: ${finding.rule} Source: ${finding.source}.`}
      </Words>
      {finding.fix ? (
        <View style={{ alignItems: 'flex-start', gap: 6 }}>
          {finding.fix.effect.length > 0 ? (
            <Words kind="small">{`This gives: ${finding.fix.effect.join('; ')}.`}</Words>
          ) : null}
          <BigButton icon="wrench" onPress={() => onFix(finding)}>
            {finding.fix.label}
          </BigButton>
        </View>
      ) : null}
    </View>
  );
}
