import { createFocusTrap } from 'focus-trap';
import { useEffect, useRef, type ReactNode } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import { ScrollView, StyleSheet, useWindowDimensions, View } from 'react-native';
import { Button, Dialog, Portal } from 'react-native-paper';

const styles = StyleSheet.create({
  dialog: { maxWidth: 480, width: '92%', alignSelf: 'center' },
  // Room for the marks of what is in focus, and for what stands over a field's edge.
  content: { gap: 12, padding: 4 },
  shrinks: { flexShrink: 1, paddingHorizontal: 20 },
  button: { minHeight: 48 },
  main: { minHeight: 48, paddingHorizontal: 12 },
  within: { flexShrink: 1, outlineWidth: 0 },
});

/** Title, buttons and what is left of the page round a dialog, px; what it asks for scrolls between them. */
const AROUND = 230;
const LEAST_HEIGHT = 120;

/** What lies over the page until it is answered: the keyboard stays in it, Escape closes it, and then goes back where it was. */
export function ModalDialog({
  title,
  action,
  onAction,
  onClose,
  children,
}: {
  readonly title: string;
  /** What is done by answering, beside going back; without it the children close it. */
  readonly action?: string;
  readonly onAction?: () => void;
  readonly onClose: () => void;
  readonly children: ReactNode;
}) {
  useHotkeys('escape', onClose, { enableOnFormTags: true });
  const maxHeight = Math.max(LEAST_HEIGHT, useWindowDimensions().height - AROUND);
  return (
    <Portal>
      <Dialog visible onDismiss={onClose} style={styles.dialog}>
        <Trapped title={title} {...(onAction ? { onEnter: onAction } : {})}>
          <Dialog.Title>{title}</Dialog.Title>
          {action === undefined ? (
            children
          ) : (
            <>
              <Dialog.Content style={styles.shrinks}>
                <ScrollView style={{ maxHeight }} contentContainerStyle={styles.content}>
                  {children}
                </ScrollView>
              </Dialog.Content>
              <Dialog.Actions>
                {onAction === onClose ? null : (
                  <Button onPress={onClose} contentStyle={styles.button}>
                    Cancel
                  </Button>
                )}
                <Button mode="contained" onPress={onAction} contentStyle={styles.main}>
                  {action}
                </Button>
              </Dialog.Actions>
            </>
          )}
        </Trapped>
      </Dialog>
    </Portal>
  );
}

/** Keeps the keyboard within. It is set up once it stands on the page: what lies over that comes there later than the rest. */
function Trapped({
  title,
  onEnter,
  children,
}: {
  readonly title: string;
  readonly onEnter?: () => void;
  readonly children: ReactNode;
}) {
  const host = useRef<View>(null);
  useEffect(() => {
    const element = host.current as unknown as HTMLElement | null;
    if (!element) return undefined;
    const trap = createFocusTrap(element, {
      fallbackFocus: element,
      // A field of the dialog that takes the focus by itself keeps it.
      initialFocus: () => (element.contains(document.activeElement) ? document.activeElement : element) as HTMLElement,
      escapeDeactivates: false,
      allowOutsideClick: true,
    });
    trap.activate();
    return () => void trap.deactivate();
  }, []);
  // With nothing of the dialog in focus Enter answers it; a field or button in focus has its own.
  useHotkeys('enter', () => {
    const at = document.activeElement;
    if (at === document.body || at === (host.current as unknown)) onEnter?.();
  });
  return (
    <View ref={host} role="dialog" aria-modal aria-label={title} tabIndex={-1} style={styles.within}>
      {children}
    </View>
  );
}
