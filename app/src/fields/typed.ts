import { createContext, useContext } from 'react';
import { useController, useForm, type UseControllerReturn, type UseFormReturn } from 'react-hook-form';

/** What stands in the fields of a page, by the name of each. */
type Texts = Record<string, string>;

type TypedForm = Pick<UseFormReturn<Texts>, 'control' | 'trigger'>;

/** The one form that holds the texts of all fields below it. */
export const TypedContext = createContext<TypedForm | null>(null);

/** A form for the texts of a page's fields; each is checked when it changes. */
export function useTypedForm(): TypedForm {
  return useForm<Texts>({ mode: 'onChange' });
}

interface TypedField extends UseControllerReturn<Texts> {
  /** Checks the text as it stands, so that its message is shown. */
  readonly check: () => void;
}

/**
 * A field's text in the form above it. A field that goes takes its text along: one
 * that comes back begins with what the job then holds.
 * @param name unlike that of any other field of the form
 * @param validate what is wrong with a text, or null
 */
export function useTyped(name: string, start: string, validate: (text: string) => string | null): TypedField {
  const form = useContext(TypedContext);
  if (!form) throw new Error('A field needs a form above it.');
  const controller = useController({
    control: form.control,
    name,
    defaultValue: start,
    rules: { validate: (text) => validate(text) ?? true },
    shouldUnregister: true,
  });
  return { ...controller, check: () => void form.trigger(name) };
}
