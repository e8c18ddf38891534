import type { Finding } from '@harbor-latch/core/findings/finding';
import type { ProofSum } from '@harbor-latch/core/prove/proofList';
import type { BodyOf } from '@harbor-latch/core/records/kinds/index';
import { useState } from 'react';
import { View } from 'react-native';
import { TextInput } from 'react-native-paper';
import { useSettings } from '../../data/settings';
import { BigButton } from '../../ui/BigButton';
import { Card } from '../../ui/Card';
import { Notice } from '../../ui/Notice';
import { StandingBadge } from '../../ui/Standing';
import { Words } from '../../ui/Words';

/** What the sign-off asks for. */
export interface Signing {
  readonly accepted: BodyOf<'proof'>['accepted'];
  readonly name: string;
  readonly role: string;
  readonly note: string;
}

/** Sums the proof up, asks why open findings are accepted, and who signs. */
export function SignPanel({
  sum,
  findings,
  onSign,
}: {
  readonly sum: ProofSum;
  readonly findings: readonly Finding[];
  readonly onSign: (signing: Signing) => void;
}) {
  const { settings } = useSettings();
  const [name, setName] = useState(settings.person);
  const [role, setRole] = useState('');
  const [note, setNote] = useState('');
  const [reasons, setReasons] = useState<Readonly<Record<string, string>>>({});
  const [problem, setProblem] = useState<string | null>(null);
  const open = findings.filter(({ severity }) => severity !== 'note');
  const sign = () => {
    const unexplained = open.find(({ id }) => (reasons[id] ?? '').trim() === '');
    if (unexplained) return setProblem(`Say why this is accepted: ${unexplained.message}`);
    if (name.trim() === '') return setProblem('Say who signs.');
    setProblem(null);
    onSign({
      accepted: open.map(({ id, severity, message }) => ({
        finding: id,
        severity,
        message,
        reason: (reasons[id] ?? '').trim(),
      })),
      name: name.trim(),
      role: role.trim(),
      note: note.trim(),
    });
  };
  return (
    <>
      <Card>
        <View style={{ padding: 14, gap: 8 }}>
          <StandingBadge standing={sum.proved ? 'good' : 'caution'} word={sum.proved ? 'Proved' : 'Not proved'} />
          <Words>{sumWords(sum)}</Words>
          {sum.proved ? null : (
            <Words kind="small" muted>
              It may be signed as it is: the record then says “not proved”, and what is missing.
            </Words>
          )}
        </View>
      </Card>
      {open.length > 0 ? (
        <Card>
          <View style={{ padding: 14, gap: 12 }}>
            <Words kind="heading" level={2}>
              Findings that stand open
            </Words>
            {open.map(({ id, severity, message }) => (
              <View key={id} style={{ gap: 6 }}>
                <StandingBadge standing={severity} />
                <Words kind="small">{message}</Words>
                <TextInput
                  mode="outlined"
                  label="Why it is accepted"
                  accessibilityLabel={`Why it is accepted: ${message}`}
                  value={reasons[id] ?? ''}
                  maxLength={500}
                  onChangeText={(text) => setReasons((before) => ({ ...before, [id]: text }))}
                />
              </View>
            ))}
          </View>
        </Card>
      ) : null}
      <Card>
        <View style={{ padding: 14, gap: 10 }}>
          <Words kind="heading" level={2}>
            Who signs
          </Words>
          <TextInput
            mode="outlined"
            label="Name"
            accessibilityLabel="Name"
            value={name}
            maxLength={80}
            onChangeText={setName}
          />
          <TextInput
            mode="outlined"
            label="Role, as on the certificate"
            accessibilityLabel="Role, as on the certificate"
            value={role}
            maxLength={200}
            onChangeText={setRole}
          />
          <TextInput
            mode="outlined"
            label="Remark"
            accessibilityLabel="Remark"
            value={note}
            maxLength={1000}
            multiline
            onChangeText={setNote}
          />
          <Words kind="small" muted>
            A signed record is never changed. Local codes and a licensed electrician’s word go before it.
          </Words>
          {problem === null ? null : (
            <Notice tone="stop" icon="alert-octagon">
              {problem}
            </Notice>
          )}
          <BigButton icon="check" onPress={sign}>
            {sum.proved ? 'Sign: proved' : 'Sign: not proved'}
          </BigButton>
        </View>
      </Card>
    </>
  );
}

/** A list in one sentence. */
export function sumWords({ passed, missed, look, leftOut, missing }: ProofSum): string {
  const parts = [
    `${passed} as expected`,
    ...(missed > 0 ? [`${missed} missed`] : []),
    ...(look > 0 ? [`${look} to be looked at again`] : []),
    ...(leftOut > 0 ? [`${leftOut} left out`] : []),
    ...(missing > 0 ? [`${missing} to be done`] : []),
  ];
  return `${parts.join(', ')}.`;
}
