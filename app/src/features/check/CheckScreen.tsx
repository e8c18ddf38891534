import { checkBundle, type BundleVerdict } from '@harbor-latch/core/records/checkBundle';
import { unpackBundle } from '@harbor-latch/core/records/bundle';
import { useState } from 'react';
import { View } from 'react-native';
import { TextInput } from 'react-native-paper';
import { chooseFiles } from '../../data/files';
import { checks } from '../../records/checkSignature';
import { BigButton } from '../../ui/BigButton';
import { Card } from '../../ui/Card';
import { Notice } from '../../ui/Notice';
import { Screen } from '../../ui/Screen';
import { StandingBadge } from '../../ui/Standing';
import { Words } from '../../ui/Words';

type State =
  | { readonly kind: 'idle' | 'reading' }
  | { readonly kind: 'refused'; readonly message: string }
  | { readonly kind: 'done'; readonly name: string; readonly verdict: BundleVerdict };

const hashOf = (text: string) => text.replace(/\s/g, '').toLowerCase();
const isHash = (text: string) => text === '' || /^[0-9a-f]{64}$/.test(text);

/** Checks a boat’s records in this browser alone: nothing is sent anywhere. */
export function CheckScreen() {
  const [fromAddress] = useState(() => hashOf(window.location.hash.slice(1)));
  const [kept, setKept] = useState(isHash(fromAddress) ? fromAddress : '');
  const [key, setKey] = useState('');
  const [state, setState] = useState<State>({ kind: 'idle' });
  const choose = async () => {
    const [head, yard] = [hashOf(kept), hashOf(key)];
    if (!isHash(head) || !isHash(yard))
      return setState({
        kind: 'refused',
        message: 'A fingerprint has 64 digits, 0 to 9 and a to f. Look at it again, or leave it empty.',
      });
    const [file] = await chooseFiles('.zip,application/zip');
    if (!file) return;
    setState({ kind: 'reading' });
    const read = unpackBundle(new Uint8Array(await file.arrayBuffer()));
    if (!read.ok) return setState({ kind: 'refused', message: read.message });
    const verdict = await checkBundle(read.bundle, checks, {
      ...(head === '' ? {} : { head }),
      ...(yard === '' ? {} : { key: yard }),
    });
    setState({ kind: 'done', name: file.name, verdict });
  };
  return (
    <Screen
      title="Check records"
      back="/"
      under={
        <Words kind="small" muted>
          On this device alone
        </Words>
      }
    >
      <Card>
        <View style={{ padding: 14, gap: 10 }}>
          <Words>
            A file of a boat’s records shows by itself whether an entry was altered, removed, moved or added. What was
            written down elsewhere, as on a certificate, shows whether it is the same chain.
          </Words>
          <TextInput
            mode="outlined"
            label="Fingerprint from a certificate"
            accessibilityLabel="Fingerprint from a certificate"
            value={kept}
            multiline
            onChangeText={setKept}
          />
          <TextInput
            mode="outlined"
            label="The yard’s key, if you have it"
            accessibilityLabel="The yard’s key, if you have it"
            value={key}
            multiline
            onChangeText={setKey}
          />
          <View style={{ alignItems: 'flex-start' }}>
            <BigButton icon="file-import-outline" onPress={() => void choose()}>
              Choose the file
            </BigButton>
          </View>
        </View>
      </Card>
      {state.kind === 'reading' ? (
        <Words role="status" muted>
          Checking every entry …
        </Words>
      ) : null}
      {state.kind === 'refused' ? (
        <Notice tone="stop" icon="alert-octagon">
          {state.message}
        </Notice>
      ) : null}
      {state.kind === 'done' ? <Result name={state.name} verdict={state.verdict} /> : null}
    </Screen>
  );
}

function Result({ name, verdict }: { readonly name: string; readonly verdict: BundleVerdict }) {
  const { ok, entries, key, head, words } = verdict;
  const spaced = (hash: string) => hash.replace(/(.{8})(?=.)/g, '$1 ');
  return (
    <Card>
      <View style={{ padding: 14, gap: 8 }} role="status">
        <StandingBadge standing={ok ? 'good' : 'stop'} word={ok ? 'As it was written' : 'Not as it was written'} />
        <Words kind="strong">{ok ? `${entries} entries in ${name}` : words}</Words>
        {ok ? (
          <Words>
            {words.startsWith('Consistent')
              ? 'Consistent in itself. Compare the key with the one that was written down.'
              : words}
          </Words>
        ) : null}
        <Words kind="small" muted selectable>{`Key ${spaced(key)}`}</Words>
        <Words kind="small" muted selectable>{`Head ${spaced(head)}`}</Words>
      </View>
    </Card>
  );
}
