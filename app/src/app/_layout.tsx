import AtkinsonRegular from '@expo-google-fonts/atkinson-hyperlegible-next/400Regular/AtkinsonHyperlegibleNext_400Regular.ttf';
import AtkinsonMedium from '@expo-google-fonts/atkinson-hyperlegible-next/600SemiBold/AtkinsonHyperlegibleNext_600SemiBold.ttf';
import AtkinsonBold from '@expo-google-fonts/atkinson-hyperlegible-next/700Bold/AtkinsonHyperlegibleNext_700Bold.ttf';
import { QueryClientProvider } from '@tanstack/react-query';
import { useFonts } from 'expo-font';
import { Stack, type ErrorBoundaryProps } from 'expo-router';
import { useEffect, useMemo, useState } from 'react';
import { unstable_forceFrameRate as workInPieces } from 'scheduler';
import { Pressable, Text, useColorScheme, View } from 'react-native';
import { PaperProvider } from 'react-native-paper';
import type { Settings } from 'react-native-paper/lib/typescript/core/settings';
import { AssessmentsContext, makeAssessments } from '../data/assessment';
import { DraftsContext } from '../data/boats';
import { openYard, YardContext } from '../data/yardOnDevice';
import type { Feed } from '../device/Feed';
import { letOldAnswersGo, makeQueryClient } from '../data/keptAnswers';
import { release } from '../data/release';
import { fetchScreensAhead } from '../features/screens';
import { SettingsContext, useStoredSettings } from '../data/settings';
import icons from '../../assets/icons.ttf';
import { ICON_FONT, PaperIcon } from '../ui/Icon';
import { SaidProvider } from '../ui/Said';
import { mod, ShortcutsProvider, useShortcut } from '../ui/Shortcuts';
import { Interruptible } from '../makeReady';
import { usePageStyle } from '../ui/pageStyle';
import { darkTheme, lightTheme, still } from '../ui/theme';
import { TextScaleContext } from '../ui/Words';
import { answerTapsAtOnce } from '../ui/tapsAtOnce';
import { whenIdle } from '../whenIdle';
import { hearTouches } from '../whenQuiet';

// What follows from a touch is worked out in pieces of 10 ms, not of 5: between two of them the browser takes up to 3 ms on a
// phone. Longer ones would hold up frames, and what is touched meanwhile.
workInPieces(100);

const textScale = { usual: 1, large: 1.15, largest: 1.3, double: 2 } as const;

/** The library's own icons are drawn by ours, which screen readers pass over. */
const paperSettings: Settings = { icon: (icon) => <PaperIcon {...icon} /> };

/**
 * Calls once the yard has been asked for and the browser has nothing else to do: what the page
 * that is shown waits for comes first. @returns what takes the call back
 */
function whenAnswered(feed: Feed, call: () => void): () => void {
  let waiting = whenIdle(() => {
    if (feed.state.kind !== 'asking') return call();
    const end = feed.subscribe(() => {
      end();
      waiting = whenIdle(call);
    });
    waiting = end;
  });
  return () => waiting();
}

/** Every page on the device, now and for when there is no network. */
async function aheadAndKept(): Promise<void> {
  await fetchScreensAhead();
  await letOldAnswersGo().catch(() => undefined);
  // Where the browser refuses, the application works with a network alone.
  await release.keepOnDevice().catch(() => undefined);
}

export default function RootLayout() {
  const [fontsReady, fontsFailed] = useFonts({
    Atkinson: AtkinsonRegular,
    AtkinsonMedium,
    AtkinsonBold,
    [ICON_FONT]: icons,
  });
  const access = useStoredSettings();
  const system = useColorScheme();
  const [client] = useState(makeQueryClient);
  const [yard] = useState(openYard);
  const { drafts } = yard;
  const [assessments] = useState(makeAssessments);
  const { theme: wanted } = access.settings;
  const dark = wanted === 'dark' || (wanted === 'system' && system === 'dark');
  const [quiet] = useState(() => matchMedia('(prefers-reduced-motion: reduce)').matches);
  const theme = useMemo(() => {
    const one = dark ? darkTheme : lightTheme;
    return quiet ? still(one) : one;
  }, [dark, quiet]);

  useEffect(() => {
    document.documentElement.style.colorScheme = dark ? 'dark' : 'light';
    document.body.style.backgroundColor = theme.palette.ground;
  }, [dark, theme]);

  usePageStyle(theme.palette);
  useEffect(hearTouches, []);
  useEffect(answerTapsAtOnce, []);

  const shown = fontsReady || fontsFailed !== null;
  useEffect(() => (shown ? whenAnswered(yard.feed, () => void aheadAndKept()) : undefined), [shown, yard]);

  if (!shown) return <View />;
  return (
    <SettingsContext.Provider value={access}>
      <QueryClientProvider client={client}>
        <YardContext.Provider value={yard}>
          <DraftsContext.Provider value={drafts}>
            <AssessmentsContext.Provider value={assessments}>
              <PaperProvider theme={theme} settings={paperSettings}>
                <TextScaleContext.Provider value={textScale[access.settings.textSize]}>
                  <SaidProvider>
                    <ShortcutsProvider>
                      <SaveKey onSave={drafts.saveAll} />
                      <Interruptible />
                      <Stack
                        screenOptions={{
                          headerShown: false,
                          title: 'Harbor Latch',
                          contentStyle: { backgroundColor: theme.palette.ground },
                        }}
                      />
                    </ShortcutsProvider>
                  </SaidProvider>
                </TextScaleContext.Provider>
              </PaperProvider>
            </AssessmentsContext.Provider>
          </DraftsContext.Provider>
        </YardContext.Provider>
      </QueryClientProvider>
    </SettingsContext.Provider>
  );
}

function SaveKey({ onSave }: { readonly onSave: () => void }) {
  useShortcut({ keys: 'mod+s', shown: `${mod} S`, does: 'Save now what is not saved yet', inFields: true }, onSave);
  return null;
}

/** What stands instead of a page that failed: plain words, and the way on. Everything typed is on this device. */
export function ErrorBoundary({ retry }: ErrorBoundaryProps) {
  return (
    <View role="alert" style={{ flex: 1, alignItems: 'center', justifyContent: 'center', gap: 16, padding: 24 }}>
      <Text style={{ fontSize: 20, textAlign: 'center' }}>This page could not be shown.</Text>
      <Text style={{ fontSize: 16, textAlign: 'center' }}>What you entered is kept on this device.</Text>
      <Pressable
        role="button"
        onPress={() => void retry()}
        style={{ minHeight: 48, paddingHorizontal: 24, justifyContent: 'center', borderWidth: 1, borderRadius: 10 }}
      >
        <Text style={{ fontSize: 16 }}>Try again</Text>
      </Pressable>
    </View>
  );
}
