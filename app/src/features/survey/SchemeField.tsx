import { useState } from 'react';
import { View } from 'react-native';
import type { JobPath } from '../../data/jobPath';
import { useField } from '../../fields/FieldContext';
import { SchemeList, SchemeTaken } from '../../fields/SchemeList';
import { Words } from '../../ui/Words';

/** How the circuit is wired: the scheme taken, opened to all of them with when each is used. */
export function SchemeField({ path }: { readonly path: JobPath }) {
  const field = useField(path);
  const [open, setOpen] = useState(false);
  const current = String(field.value);
  return (
    <View style={{ gap: 4 }}>
      <Words kind="strong">Wired as</Words>
      {open ? (
        <SchemeList
          label="Wired as"
          taken={current}
          onTake={(key) => {
            field.take(key);
            setOpen(false);
          }}
        />
      ) : (
        <SchemeTaken scheme={current} onOpen={() => setOpen(true)} />
      )}
    </View>
  );
}
