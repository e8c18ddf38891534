import { useEffect, useState } from 'react';
import { View } from 'react-native';
import { BigButton } from '../../ui/BigButton';
import { Words } from '../../ui/Words';

const TICK_MS = 100;

/** Seconds from a touch to the next. @param onSeconds told when it is stopped */
export function Stopwatch({ onSeconds }: { readonly onSeconds: (seconds: number) => void }) {
  const [began, setBegan] = useState<number | null>(null);
  const [shownMs, setShownMs] = useState(0);
  useEffect(() => {
    if (began === null) return undefined;
    const timer = setInterval(() => setShownMs(Date.now() - began), TICK_MS);
    return () => clearInterval(timer);
  }, [began]);
  const stop = () => {
    if (began === null) return;
    onSeconds(Math.round((Date.now() - began) / TICK_MS) / (1000 / TICK_MS));
    setBegan(null);
  };
  return (
    <View style={{ flexDirection: 'row', alignItems: 'center', gap: 12 }}>
      {began === null ? (
        <BigButton
          icon="play"
          mode="outlined"
          onPress={() => {
            setShownMs(0);
            setBegan(Date.now());
          }}
        >
          Start the watch
        </BigButton>
      ) : (
        <BigButton icon="stop" onPress={stop}>
          Stop
        </BigButton>
      )}
      {began === null ? null : <Words kind="figure" role="timer">{`${(shownMs / 1000).toFixed(1)} s`}</Words>}
    </View>
  );
}

/** A wait that belongs to a test, counted down. */
export function WaitClock({ seconds }: { readonly seconds: number }) {
  const [until, setUntil] = useState<number | null>(null);
  const [leftMs, setLeftMs] = useState(seconds * 1000);
  useEffect(() => {
    if (until === null) return undefined;
    const timer = setInterval(() => setLeftMs(Math.max(0, until - Date.now())), TICK_MS);
    return () => clearInterval(timer);
  }, [until]);
  const left = Math.ceil(leftMs / 1000);
  const clock = `${Math.floor(left / 60)}:${String(left % 60).padStart(2, '0')}`;
  if (until === null)
    return (
      <View style={{ alignItems: 'flex-start' }}>
        <BigButton mode="outlined" icon="timer" onPress={() => setUntil(Date.now() + seconds * 1000)}>
          {`Wait ${clock}`}
        </BigButton>
      </View>
    );
  return (
    <Words kind="figure" role="timer">
      {leftMs === 0 ? 'The wait is over' : clock}
    </Words>
  );
}
