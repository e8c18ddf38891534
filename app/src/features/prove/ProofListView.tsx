import type { Outcome } from '@harbor-latch/core/prove/proofList';
import { View } from 'react-native';
import { Card } from '../../ui/Card';
import { Icon } from '../../ui/Icon';
import { PressRow } from '../../ui/PressRow';
import { usePalette } from '../../ui/theme';
import { Words } from '../../ui/Words';
import { More } from '../../fields/More';
import { outcomeLook, placeWords, readWords } from './words';

/** All tests with how they stand, in the order of the way; a touch goes to one. */
export function ProofListView({
  list,
  onOpen,
}: {
  readonly list: readonly Outcome[];
  readonly onOpen: (id: string) => void;
}) {
  const needed = list.filter(({ test, outcome }) => test.needed || outcome !== 'not done');
  const more = list.filter((one) => !needed.includes(one));
  return (
    <Card>
      <Rows list={needed} onOpen={onOpen} />
      {more.length > 0 ? (
        <View style={{ padding: 14 }}>
          <More title="Further readings" summary={`${more.length} that say more where one misses`}>
            <Rows list={more} onOpen={onOpen} />
          </More>
        </View>
      ) : null}
    </Card>
  );
}

function Rows({ list, onOpen }: { readonly list: readonly Outcome[]; readonly onOpen: (id: string) => void }) {
  const palette = usePalette();
  return (
    <>
      {list.map((one, index) => {
        const { test, outcome } = one;
        const look = outcomeLook[outcome];
        const before = list[index - 1]?.test;
        const heads = before?.place !== test.place || before.power !== test.power;
        const read = readWords(one);
        const said = `${one.due ? 'Due again' : look.word}${read === '' ? '' : `, ${read}`}`;
        return (
          <View key={test.id}>
            {heads ? (
              <View style={{ paddingHorizontal: 14, paddingTop: 12, paddingBottom: 4 }}>
                <Words kind="small" muted level={2}>
                  {`${placeWords[test.place]}, ${test.power === 'dead' ? 'dead' : 'live'}`}
                </Words>
              </View>
            ) : null}
            <PressRow
              label={`${test.text} ${said}`}
              onPress={() => onOpen(test.id)}
              style={{
                flexDirection: 'row',
                gap: 10,
                alignItems: 'center',
                paddingHorizontal: 14,
                paddingVertical: 8,
                borderTopWidth: heads ? 0 : 1,
                borderColor: palette.line,
              }}
            >
              <Icon name={one.due ? 'alert' : look.icon} color={palette[one.due ? 'caution' : look.ink]} />
              <View style={{ flex: 1, minWidth: 0 }}>
                <Words>{test.text}</Words>
                <Words kind="small" color={palette[one.due ? 'caution' : look.ink]}>
                  {said}
                </Words>
              </View>
            </PressRow>
          </View>
        );
      })}
    </>
  );
}
