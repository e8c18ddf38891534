import type { Photograph } from '@harbor-latch/core/job/index';
import { format } from 'date-fns';
import { useState } from 'react';
import { View } from 'react-native';
import { useDrafts } from '../data/boats';
import type { Draft } from '../data/draft';
import { BigButton } from '../ui/BigButton';
import { Card } from '../ui/Card';
import { Notice } from '../ui/Notice';
import { PressRow } from '../ui/PressRow';
import { stylesFor } from '../ui/stylesFor';
import { Words } from '../ui/Words';
import { PhotographViewer } from './PhotographViewer';
import { Picture } from './Picture';
import { usePhotographs, usePhotoTrouble } from './usePhotographs';

const SIDE = 104;

const useStyles = stylesFor(({ line }) => ({
  card: { padding: 14, gap: 10 },
  strip: { flexDirection: 'row', flexWrap: 'wrap', gap: 8 },
  one: { width: SIDE, gap: 2 },
  frame: { width: SIDE, height: SIDE, borderRadius: 10, overflow: 'hidden', borderWidth: 1, borderColor: line },
  foot: { alignItems: 'flex-start' },
}));

/** A photograph in a few words. */
const shortOf = ({ note, addedAt }: Photograph) => note ?? format(new Date(addedAt), 'd MMM yyyy');

/** The photographs that hang on a boat or on a circuit: small, opened by a touch; more can be added. */
export function PhotographsCard({
  draft,
  circuitId,
  hint,
}: {
  readonly draft: Draft;
  readonly circuitId?: string;
  /** What is worth a photograph here. */
  readonly hint: string;
}) {
  const styles = useStyles();
  const drafts = useDrafts();
  const photographs = usePhotographs(draft, circuitId);
  const { waiting, refused } = usePhotoTrouble(draft.id);
  const [opened, setOpened] = useState<string | null>(null);
  const { list, making, problems } = photographs;
  return (
    <Card>
      <View style={styles.card}>
        <Words kind="heading" level={2}>
          {list.length === 0 ? 'Photographs' : `Photographs (${list.length})`}
        </Words>
        {list.length === 0 ? (
          <Words kind="small" muted>
            {hint}
          </Words>
        ) : (
          <View style={styles.strip}>
            {list.map((one, index) => (
              <PressRow
                key={one.id}
                label={`Open photograph ${index + 1} of ${list.length}: ${shortOf(one)}`}
                onPress={() => setOpened(one.id)}
                style={styles.one}
              >
                <View style={styles.frame}>
                  <Picture id={one.small} small />
                </View>
                <Words kind="small" muted numberOfLines={1}>
                  {shortOf(one)}
                </Words>
              </PressRow>
            ))}
          </View>
        )}
        {making > 0 ? (
          <Words kind="small" role="status">
            {making === 1 ? 'Making a photograph ready' : `Making ${making} photographs ready`}
          </Words>
        ) : null}
        {problems.length > 0 ? (
          <Notice
            tone="stop"
            icon="file-alert-outline"
            actions={
              <BigButton mode="outlined" onPress={photographs.dismiss}>
                Dismiss
              </BigButton>
            }
          >
            {problems.join('\n')}
          </Notice>
        ) : null}
        {refused !== null ? (
          <Notice
            tone="stop"
            icon="alert-octagon"
            actions={<BigButton onPress={() => drafts.retry(draft.id)}>Try again</BigButton>}
          >
            {`${refused} The photograph is kept on this device.`}
          </Notice>
        ) : waiting > 0 ? (
          <Words kind="small" muted role="status">
            {waiting === 1
              ? '1 photograph of this boat waits to be sent'
              : `${waiting} photographs of this boat wait to be sent`}
          </Words>
        ) : null}
        <View style={styles.foot}>
          <BigButton mode="outlined" icon="camera-plus-outline" onPress={photographs.choose}>
            Add photographs
          </BigButton>
        </View>
      </View>
      {opened === null ? null : (
        <PhotographViewer photographs={photographs} at={opened} onAt={setOpened} onClose={() => setOpened(null)} />
      )}
    </Card>
  );
}
