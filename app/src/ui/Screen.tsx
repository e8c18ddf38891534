import { useRouter } from 'expo-router';
import { memo, type ReactNode } from 'react';
import { View } from 'react-native';
import { backToPage } from './ahead';
import { pageFoot } from './pageFoot';
import { Scrolled } from './Scrolled';
import { usePalette } from './theme';
import { ToolButton } from './ToolButton';
import { useStable } from './useStable';
import { Words } from './Words';

/** Under the page to the eye; before it to the keyboard, which need not go through a list to come there. */
const underMain = { order: 1 } as object;

/** What a page holds: in one column, no wider than reads well. */
export const pageContent = {
  padding: 12,
  paddingBottom: 32,
  gap: 12,
  width: '100%',
  maxWidth: 760,
  marginHorizontal: 'auto',
} as const;

/** A page with its title, the way back and its actions. */
export const Screen = memo(function Screen({
  title,
  under,
  back,
  actions,
  footer,
  scroll = true,
  children,
}: {
  readonly title: string;
  readonly under?: ReactNode;
  /** Address of the page above. */
  readonly back?: string;
  readonly actions?: ReactNode;
  /** Stays in thumb reach under the page. */
  readonly footer?: ReactNode;
  readonly scroll?: boolean;
  readonly children: ReactNode;
}) {
  const palette = usePalette();
  return (
    <View style={{ flex: 1, backgroundColor: palette.ground }}>
      <View role="banner" style={{ backgroundColor: palette.surface, borderBottomWidth: 1, borderColor: palette.line }}>
        <View
          style={{
            flexDirection: 'row',
            alignItems: 'center',
            minHeight: 60,
            paddingHorizontal: 4,
            paddingLeft: back === undefined ? 16 : 4,
          }}
        >
          {back === undefined ? null : <BackButton to={back} />}
          <View style={{ flex: 1, minWidth: 0 }}>
            <Words kind="heading" level={1} numberOfLines={2}>
              {title}
            </Words>
            {under}
          </View>
          {actions}
        </View>
      </View>
      {footer === undefined ? null : (
        <View {...pageFoot} style={underMain}>
          {footer}
        </View>
      )}
      <View role="main" style={{ flex: 1, minHeight: 0 }}>
        {scroll ? <Scrolled content={pageContent}>{children}</Scrolled> : children}
      </View>
    </View>
  );
});

/** Back where one came from, as it was left; from an address that was opened by itself to the page above. */
const BackButton = memo(function BackButton({ to }: { readonly to: string }) {
  const router = useRouter();
  const goBack = useStable(() => (router.canGoBack() ? backToPage(() => router.back()) : router.navigate(to)));
  return (
    <View style={{ margin: 6 }}>
      <ToolButton icon="arrow-left" label="Back" onPress={goBack} />
    </View>
  );
});
