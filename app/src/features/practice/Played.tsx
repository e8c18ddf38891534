import { useState } from 'react';
import { View } from 'react-native';
import { Card } from '../../ui/Card';
import { Icon } from '../../ui/Icon';
import { PressRow } from '../../ui/PressRow';
import { usePalette } from '../../ui/theme';
import { Words } from '../../ui/Words';
import type { Practised } from './practised';

/** So many of the latest say how it goes by now. */
const LATEST = 5;
const MOST_KINDS = 12;

const mean = (all: readonly Practised[]) => all.reduce((sum, { score }) => sum + score, 0) / all.length;
const nameOf = (by: string) => (by === '' ? 'Without a name' : by);

/** What people of the yard played, by name: for who learns, and for who teaches. */
export function Played({ done, person }: { readonly done: readonly Practised[]; readonly person: string }) {
  const palette = usePalette();
  const [shown, setShown] = useState(person);
  const people = [...new Set(done.map(({ by }) => by))].sort((a, b) =>
    a === person ? -1 : b === person ? 1 : a < b ? -1 : 1,
  );
  if (people.length === 0) return null;
  return (
    <>
      <Words kind="heading" level={2}>
        Who practised
      </Words>
      <Card>
        {people.map((by, index) => {
          const own = done.filter((one) => one.by === by);
          const open = shown === by;
          return (
            <View key={by} style={{ borderTopWidth: index === 0 ? 0 : 1, borderColor: palette.line }}>
              <PressRow
                label={`${nameOf(by)}: ${boats(own.length)}, ${mean(own).toFixed(0)} points on average`}
                expanded={open}
                onPress={() => setShown(open ? NOBODY : by)}
                style={{ flexDirection: 'row', alignItems: 'center', gap: 10, padding: 14 }}
              >
                <View style={{ flex: 1, minWidth: 0 }}>
                  <Words kind="strong">{nameOf(by)}</Words>
                  <Words kind="small" muted>
                    {own.length > LATEST
                      ? `${boats(own.length)}; the last ${LATEST}: ${mean(own.slice(-LATEST)).toFixed(0)} points`
                      : boats(own.length)}
                  </Words>
                </View>
                <Words kind="strong">{mean(own).toFixed(0)}</Words>
                <Icon name={open ? 'chevron-up' : 'chevron-down'} color={palette.muted} />
              </PressRow>
              {open ? (
                <View style={{ paddingHorizontal: 14, paddingBottom: 14, gap: 8 }}>
                  {kindsOf(own).map(({ group, score, count }) => (
                    <View key={group} style={{ flexDirection: 'row', gap: 10 }}>
                      <Words kind="small" style={{ flex: 1, minWidth: 0 }}>
                        {group}
                      </Words>
                      <Words kind="small" muted>{`${count} ×, ${score.toFixed(0)} points`}</Words>
                    </View>
                  ))}
                </View>
              ) : null}
            </View>
          );
        })}
      </Card>
    </>
  );
}

/** No name is so. */
const NOBODY = '\0';

const boats = (count: number) => (count === 1 ? '1 boat' : `${count} boats`);

/** How it went by kind of fault, the weakest first. */
function kindsOf(own: readonly Practised[]) {
  return [...new Set(own.map(({ group }) => group))]
    .map((group) => {
      const those = own.filter((one) => one.group === group);
      return { group, count: those.length, score: mean(those) };
    })
    .sort((a, b) => a.score - b.score)
    .slice(0, MOST_KINDS);
}
