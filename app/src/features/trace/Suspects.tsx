import type { Tracing } from '@harbor-latch/core/trace/tracing';
import { View } from 'react-native';
import { Card } from '../../ui/Card';
import { usePalette } from '../../ui/theme';
import { Words } from '../../ui/Words';

const percent = (share: number) => (share >= 0.995 ? '99 %' : share < 0.005 ? '< 1 %' : `${Math.round(share * 100)} %`);

/** What it may be, each with its share, why, and what would be done about it. */
export function Suspects({ tracing: { suspects, other } }: { readonly tracing: Tracing }) {
  return (
    <Card>
      <View style={{ padding: 14, gap: 14 }}>
        {suspects.map(({ id, words, repair, share, because }) => (
          <Row key={id} words={words} under={repair} because={because} share={share} />
        ))}
        {other > 0.02 ? <Row words="Something that is not in this list" under="" because="" share={other} /> : null}
      </View>
    </Card>
  );
}

function Row({
  words,
  under,
  because,
  share,
}: {
  readonly words: string;
  readonly under: string;
  readonly because: string;
  readonly share: number;
}) {
  const palette = usePalette();
  return (
    <View style={{ flexDirection: 'row', gap: 12 }}>
      <View style={{ width: 54, gap: 4 }}>
        <Words kind="strong">{percent(share)}</Words>
        <View style={{ height: 6, borderRadius: 3, backgroundColor: palette.raised }} aria-hidden>
          <View
            style={{
              height: 6,
              borderRadius: 3,
              width: `${Math.max(4, Math.round(share * 100))}%`,
              backgroundColor: palette.accent,
            }}
          />
        </View>
      </View>
      <View style={{ flex: 1, minWidth: 0 }}>
        <Words>{words}</Words>
        {under === '' ? null : (
          <Words kind="small" muted>
            {under}
          </Words>
        )}
        {because === '' ? null : <Words kind="small">{`Because: ${because}`}</Words>}
      </View>
    </View>
  );
}
