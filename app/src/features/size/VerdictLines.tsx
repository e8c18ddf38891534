import type { Verdicts } from '@harbor-latch/core/assess/verdicts';
import { StyleSheet, View } from 'react-native';
import { verdictWords, type Verdict } from '../../ui/ChoiceRow';
import { Icon } from '../../ui/Icon';
import { standingLook } from '../../ui/Standing';
import { usePalette } from '../../ui/theme';
import { Words } from '../../ui/Words';

interface Line {
  readonly standing: Verdict;
  readonly values: readonly string[];
  readonly reason: string;
}

/** Choices that fail for the same reason, in one line; its words are those of the choice nearest to what is taken. */
function linesOf({ of }: Verdicts, values: readonly string[], taken: string): Line[] {
  const at = values.indexOf(taken);
  const groups = new Map<string, { standing: Verdict; values: string[]; reason: string; far: number }>();
  values.forEach((value, index) => {
    const verdict = of[value];
    if (!verdict?.reason) return;
    const side = index < at ? 'under' : 'over';
    const key = `${verdict.standing} ${verdict.code} ${side}`;
    const far = Math.abs(index - at);
    const group = groups.get(key);
    if (!group) groups.set(key, { standing: verdict.standing, values: [value], reason: verdict.reason, far });
    else {
      group.values.push(value);
      if (far < group.far) Object.assign(group, { reason: verdict.reason, far });
    }
  });
  return [...groups.values()];
}

const styles = StyleSheet.create({
  lines: { gap: 8 },
  line: { flexDirection: 'row', gap: 8 },
  words: { flex: 1, minWidth: 0 },
});

/** Why choices are refused or cautioned against, under them; and what none of them answers. */
export function VerdictLines({
  verdicts,
  values,
  taken,
  unit = '',
}: {
  readonly verdicts: Verdicts | null;
  /** The choices in their order. */
  readonly values: readonly string[];
  readonly taken: string;
  readonly unit?: string;
}) {
  const palette = usePalette();
  if (!verdicts) return null;
  const lines = [
    ...linesOf(verdicts, values, taken).map((line) => ({
      standing: line.standing,
      head: `${capital(verdictWords[line.standing])}: ${span(line.values)}${unit}.`,
      reason: line.reason,
    })),
    ...verdicts.always.map(({ severity, message }) => ({
      standing: severity === 'stop' ? ('stop' as const) : ('caution' as const),
      head: 'Whichever is taken:',
      reason: message,
    })),
  ];
  return (
    <View style={styles.lines}>
      {lines.map(({ standing, head, reason }) => {
        const look = standingLook[standing];
        return (
          <View key={head + reason} style={styles.line}>
            <Icon name={look.icon} size={18} color={palette[look.ink]} />
            <Words kind="small" style={styles.words}>
              {`${head} ${reason}`}
            </Words>
          </View>
        );
      })}
    </View>
  );
}

/** "1, 2"; of more than three the first and the last: "1 to 5". */
function span(values: readonly string[]): string {
  const bare = values.map((value, index) => (index < values.length - 1 ? value.replace(/ (AWG|mm²)$/, '') : value));
  return bare.length > 3 ? `${bare[0] ?? ''} to ${bare[bare.length - 1] ?? ''}` : bare.join(', ');
}

function capital(text: string): string {
  return text.charAt(0).toUpperCase() + text.slice(1);
}
