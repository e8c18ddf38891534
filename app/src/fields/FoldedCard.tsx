import type { ReactNode } from 'react';
import { View } from 'react-native';
import { Card } from '../ui/Card';
import { More } from './More';

/** A card that is summed up in a line, and opened to see it all. */
export function FoldedCard({
  title,
  summary,
  children,
}: {
  readonly title: string;
  readonly summary: string;
  readonly children: ReactNode;
}) {
  return (
    <Card>
      <View style={{ padding: 14 }}>
        <More title={title} summary={summary} alone>
          {children}
        </More>
      </View>
    </Card>
  );
}
