import AtkinsonRegular from '@expo-google-fonts/atkinson-hyperlegible-next/400Regular/AtkinsonHyperlegibleNext_400Regular.ttf';
import AtkinsonMedium from '@expo-google-fonts/atkinson-hyperlegible-next/600SemiBold/AtkinsonHyperlegibleNext_600SemiBold.ttf';
import AtkinsonBold from '@expo-google-fonts/atkinson-hyperlegible-next/700Bold/AtkinsonHyperlegibleNext_700Bold.ttf';
import MaterialDesignIcons from '@react-native-vector-icons/material-design-icons/fonts/MaterialDesignIcons.ttf';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { useFonts } from 'expo-font';
import { Stack } from 'expo-router';
import { useEffect, useState } from 'react';
import { useColorScheme, View } from 'react-native';
import { PaperProvider } from 'react-native-paper';
import { DraftsContext, makeDraftStore } from '../data/boats';
import { SettingsContext, useStoredSettings } from '../data/settings';
import { SaidProvider } from '../ui/Said';
import { darkTheme, lightTheme } from '../ui/theme';

export default function RootLayout() {
  const [fontsReady, fontsFailed] = useFonts({
    Atkinson: AtkinsonRegular,
    AtkinsonMedium,
    AtkinsonBold,
    MaterialDesignIcons,
  });
  const access = useStoredSettings();
  const system = useColorScheme();
  const [client] = useState(() => new QueryClient());
  const [drafts] = useState(() => makeDraftStore(client));
  const { theme } = access.settings;
  const dark = theme === 'dark' || (theme === 'system' && system === 'dark');

  useEffect(() => {
    window.addEventListener('online', drafts.saveAll);
    return () => window.removeEventListener('online', drafts.saveAll);
  }, [drafts]);

  useEffect(() => {
    document.documentElement.style.colorScheme = dark ? 'dark' : 'light';
    document.body.style.backgroundColor = (dark ? darkTheme : lightTheme).palette.ground;
  }, [dark]);

  if (!fontsReady && !fontsFailed) return <View />;
  return (
    <SettingsContext.Provider value={access}>
      <QueryClientProvider client={client}>
        <DraftsContext.Provider value={drafts}>
          <PaperProvider theme={dark ? darkTheme : lightTheme}>
            <SaidProvider>
              <Stack screenOptions={{ headerShown: false, title: 'Harbor Latch' }} />
            </SaidProvider>
          </PaperProvider>
        </DraftsContext.Provider>
      </QueryClientProvider>
    </SettingsContext.Provider>
  );
}
