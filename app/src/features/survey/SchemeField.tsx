import { schemeKeys, schemeOf } from '@harbor-latch/core/schemes/index';
import { useState } from 'react';
import { View } from 'react-native';
import type { JobPath } from '../../data/jobPath';
import { Icon } from '../../ui/Icon';
import { PressRow } from '../../ui/PressRow';
import { rovingUnchosen } from '../../ui/roving';
import { fonts, usePalette } from '../../ui/theme';
import { Words } from '../../ui/Words';
import { useField } from '../../fields/FieldContext';

/** How the circuit is wired: the scheme taken, opened to all of them with when each is used. */
export function SchemeField({ path }: { readonly path: JobPath }) {
  const field = useField(path);
  const palette = usePalette();
  const [open, setOpen] = useState(false);
  const current = String(field.value);
  const shown = open ? schemeKeys : [current];
  return (
    <View style={{ gap: 4 }}>
      <Words kind="strong">Wired as</Words>
      <View
        {...(open ? { role: 'radiogroup', 'aria-label': 'Wired as', ...rovingUnchosen } : {})}
        style={{ borderWidth: 1, borderColor: palette.line, borderRadius: 10, overflow: 'hidden' }}
      >
        {shown.map((key, index) => {
          const { name, summary } = schemeOf({ scheme: key });
          const taken = key === current;
          return (
            <PressRow
              key={key}
              {...(open
                ? { role: 'radio', selected: taken, label: name }
                : { expanded: false, label: `Wired as: ${name}. Change` })}
              onPress={() => {
                if (open) field.take(key);
                setOpen(!open);
              }}
              style={{
                flexDirection: 'row',
                alignItems: 'center',
                gap: 10,
                paddingHorizontal: 12,
                paddingVertical: 8,
                borderTopWidth: index === 0 ? 0 : 1,
                borderColor: palette.line,
                backgroundColor: open && taken ? palette.accentSoft : palette.surface,
              }}
            >
              <View style={{ flex: 1, minWidth: 0 }}>
                <Words style={{ fontFamily: taken ? fonts.medium : fonts.regular }}>{name}</Words>
                <Words kind="small" muted>
                  {summary}
                </Words>
              </View>
              {open ? (
                taken ? (
                  <Icon name="check" size={24} color={palette.accent} />
                ) : null
              ) : (
                <Icon name="chevron-down" size={24} color={palette.muted} />
              )}
            </PressRow>
          );
        })}
      </View>
    </View>
  );
}
