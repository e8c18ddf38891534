import type { Outcome } from '@harbor-latch/core/prove/proofList';
import type { Voided } from '@harbor-latch/core/prove/voids';
import type { EntryOf } from '@harbor-latch/core/records/known';
import { format } from 'date-fns';
import { View } from 'react-native';
import { BigButton } from '../../ui/BigButton';
import { Card } from '../../ui/Card';
import { Notice } from '../../ui/Notice';
import { StandingBadge } from '../../ui/Standing';
import { Words } from '../../ui/Words';

const whyWords: Readonly<Record<Voided['why'], string>> = {
  gone: 'is no longer asked',
  new: 'is new',
  setting: 'is set otherwise',
  points: 'is read elsewhere',
  window: 'reads otherwise',
};

/** The last proof: what it said, its fingerprint, and what a change since made void. */
export function SignedPanel({
  signed,
  fingerprint,
  inChain,
  list,
  voided,
  late,
  onAgain,
  onCertificate,
}: {
  readonly signed: EntryOf<'proof'>;
  readonly fingerprint: string;
  readonly inChain: number | null;
  readonly list: readonly Outcome[];
  readonly voided: readonly Voided[];
  /** How many readings came after it was signed. */
  readonly late: number;
  readonly onAgain: () => void;
  readonly onCertificate: () => void;
}) {
  const due = list.filter((one) => one.due);
  const { body, madeAt } = signed;
  const good = body.result === 'proved' && due.length === 0;
  return (
    <>
      <Card>
        <View style={{ padding: 14, gap: 8 }}>
          <StandingBadge
            standing={good ? 'good' : 'caution'}
            word={body.result === 'not proved' ? 'Not proved' : due.length > 0 ? 'Of an earlier wiring' : 'Proved'}
          />
          <Words kind="heading" level={2}>
            {body.phase === 'bench' ? 'Bench test' : 'Proof in the boat'}
          </Words>
          <Words>{`Signed by ${body.name}${body.role === undefined ? '' : `, ${body.role}`}, ${format(new Date(madeAt), 'd MMM yyyy, HH:mm')}`}</Words>
          <Words kind="small" muted selectable>
            {`Fingerprint ${fingerprint.replace(/(.{8})(?=.)/g, '$1 ')}`}
          </Words>
          <Words kind="small" muted>
            {inChain === null
              ? 'Not yet in the chain: it waits for a signal.'
              : `Number ${inChain} in the boat’s chain.`}
          </Words>
          {late > 0 ? (
            <Words kind="small">{`${late === 1 ? '1 reading' : `${late} readings`} came after it was signed.`}</Words>
          ) : null}
          <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 8 }}>
            <BigButton icon="printer-outline" onPress={onCertificate}>
              Certificate as PDF
            </BigButton>
            <BigButton mode="outlined" onPress={onAgain}>
              {due.length > 0 ? 'Do what is due' : 'Prove again'}
            </BigButton>
          </View>
        </View>
      </Card>
      {due.length > 0 ? (
        <Notice tone="caution" icon="alert">
          {`${due.length === 1 ? '1 test is' : `${due.length} tests are`} due again: something was changed or mended since. The others stand.`}
        </Notice>
      ) : null}
      {due.length > 0 ? (
        <Card>
          <View style={{ padding: 14, gap: 6 }}>
            <Words kind="heading" level={2}>
              Due again
            </Words>
            {due.map(({ test }) => {
              const why = voided.find(({ id }) => id === test.id)?.why;
              return (
                <View key={test.id}>
                  <Words>{test.text}</Words>
                  <Words kind="small" muted>
                    {why === undefined
                      ? 'What was mended can have touched it'
                      : `It ${whyWords[why]} than it was proved`}
                  </Words>
                </View>
              );
            })}
          </View>
        </Card>
      ) : null}
    </>
  );
}
