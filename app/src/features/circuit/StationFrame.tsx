import { defaults } from '@harbor-latch/core/reference/index';
import { memo, type ReactNode } from 'react';
import { View } from 'react-native';
import { Notice } from '../../ui/Notice';
import { Scrolled } from '../../ui/Scrolled';
import { Words } from '../../ui/Words';
import { SaveNotices } from '../../saving/SaveNotices';
import { NotYet } from '../../ui/NotYet';
import { CircuitDrawing } from './DrawingStation';
import type { AtStation } from './atStation';
import type { StationEntry } from './stations';

/** A station in its room: waiting for the survey, scrolling with the drawing beside it, or by itself. */
export const StationFrame = memo(function StationFrame({
  entry,
  at,
}: {
  readonly entry: StationEntry;
  readonly at: AtStation;
}) {
  const { assessed, current, failed, draft, room, selected, onSelect, onGo } = at;
  const waits = entry.needsSized && assessed.status === 'incomplete';
  const content = (
    <Marked busy={!current && !failed} faded={entry.shows === 'figures'}>
      {failed ? (
        <Notice tone="stop" icon="alert-octagon">
          This circuit could not be worked out. What you entered is kept; the figures are those of before the last
          change. Undo it, or change it, and it is tried again.
        </Notice>
      ) : null}
      {waits ? <NotYet assessed={assessed} onSurvey={() => onGo('survey')} /> : entry.show(at)}
    </Marked>
  );
  if (entry.frame === 'own')
    return <View style={{ flex: 1, minHeight: 0, ...(waits ? { padding: 12 } : {}) }}>{content}</View>;
  if (room.layout !== 'wide')
    return (
      <Page narrow>
        <SaveNotices draft={draft} />
        {content}
      </Page>
    );
  return (
    <View style={{ flex: 1, flexDirection: 'row', minHeight: 0 }}>
      <Scrolled content={{ alignItems: 'center', paddingVertical: 8 }}>
        <CircuitDrawing
          draft={draft}
          assessed={assessed}
          width={Math.min(560, room.drawingWidth - 20)}
          selected={selected}
          onSelect={onSelect}
        />
        <Words
          kind="small"
          muted
        >{`Amperes: the most each carries, with ${defaults.runningSupplyV} V at the battery.`}</Words>
      </Scrolled>
      <Page>
        <SaveNotices draft={draft} />
        {content}
      </Page>
    </View>
  );
});

/** Figures of before the last change are marked until the new ones have come; what takes but a moment does not flicker. */
function Marked({
  busy,
  faded,
  children,
}: {
  readonly busy: boolean;
  /** What is typed is not faded. */
  readonly faded: boolean;
  readonly children: ReactNode;
}) {
  const old = busy && faded;
  const look = { opacity: old ? 0.5 : 1, transition: old ? 'opacity 80ms 160ms' : 'none' } as object;
  return (
    <View aria-busy={busy} style={[{ flexGrow: 1, flexShrink: 1, minHeight: 0, gap: 12 }, look]}>
      {children}
    </View>
  );
}

function Page({ narrow = false, children }: { readonly narrow?: boolean; readonly children: ReactNode }) {
  return narrow ? (
    <Scrolled
      content={{ padding: 12, gap: 12, paddingBottom: 32, width: '100%', maxWidth: 640, marginHorizontal: 'auto' }}
    >
      {children}
    </Scrolled>
  ) : (
    <Scrolled style={{ width: 480, flexGrow: 0 }} content={{ padding: 12, gap: 12, paddingBottom: 40 }}>
      {children}
    </Scrolled>
  );
}
