import { useState } from 'react';
import { flushSync } from 'react-dom';
import type { TextInput } from 'react-native';
import { doneByNow, oncePainted } from '../ui/oncePainted';
import { useStable } from '../ui/useStable';

/** What a field of the library hears and shows. */
interface Typing {
  readonly value: string;
  readonly onChangeText: (text: string) => void;
  readonly onBlur: () => void;
}

/**
 * A field's text as it is typed: it stands at once, and what takes it follows once that is painted.
 * @param text what was taken last
 */
export function useTextAhead(text: string, onText: (text: string) => void, onBlur: () => void): Typing {
  const [ahead, setAhead] = useState<string | null>(null);
  const take = useStable(onText);
  const onChangeText = useStable((typed: string) => {
    setAhead(typed);
    oncePainted(() =>
      flushSync(() => {
        setAhead(null);
        take(typed);
      }),
    );
  });
  // Who leaves a field leaves it with all that was typed.
  const leave = useStable(() => {
    doneByNow();
    onBlur();
  });
  return { value: ahead ?? text, onChangeText, onBlur: leave };
}

/** Shows a text in a field at once; what takes it follows once that is painted. */
export function showText(entry: TextInput | null, text: string, take: (text: string) => void): void {
  const input: unknown = entry;
  if (input instanceof HTMLInputElement) input.value = text;
  oncePainted(() => flushSync(() => take(text)));
}
