import type { Finding, Fix } from '@harbor-latch/core/findings/finding';
import { memo } from 'react';
import { View } from 'react-native';
import { BigButton } from './BigButton';
import { Card } from './Card';
import { Icon } from './Icon';
import { standingLook } from './Standing';
import { usePalette } from './theme';
import { Words } from './Words';

/** A finding with its numbers, its rule and source, and the fix where there is one. */
export const FindingCard = memo(function FindingCard({
  finding,
  fix,
  main = false,
  trying = false,
  onFix,
}: {
  readonly finding: Finding;
  /** What answers it, where that is known. */
  readonly fix: Fix | undefined;
  /** Whether its fix is the main action of the page. */
  readonly main?: boolean;
  /** Whether what may answer it is still being tried. */
  readonly trying?: boolean;
  readonly onFix: (findingId: string) => void;
}) {
  const palette = usePalette();
  const look = standingLook[finding.severity];
  const ink = palette[look.ink];
  return (
    <Card style={{ borderLeftWidth: 6, borderLeftColor: ink, padding: 14, gap: 8 }}>
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
      {fix ? (
        <View style={{ alignItems: 'flex-start', gap: 6 }}>
          {fix.effect.length > 0 ? <Words kind="small">{`This gives: ${fix.effect.join('; ')}.`}</Words> : null}
          <BigButton icon="wrench" mode={main ? 'contained' : 'outlined'} onPress={() => onFix(finding.id)}>
            {fix.label}
          </BigButton>
        </View>
      ) : trying ? (
        <View style={{ minHeight: 48, justifyContent: 'center' }}>
          <Words kind="small" muted>
            Trying what may answer it …
          </Words>
        </View>
      ) : null}
    </Card>
  );
});
