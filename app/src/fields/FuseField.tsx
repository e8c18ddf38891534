import { protectionFamilies, type ProtectionKind } from '@harbor-latch/core/reference/index';
import { View } from 'react-native';
import type { JobPath } from '../data/jobPath';
import { ChoiceRow } from '../ui/ChoiceRow';
import { Words } from '../ui/Words';
import { useField } from './FieldContext';

interface Fuse {
  readonly kind: ProtectionKind;
  readonly ratingA: number;
}

/** A fuse that is there or not: its kind, and its rating among the standard ones. */
export function FuseField({
  path,
  label,
  kinds,
  guide,
}: {
  readonly path: JobPath;
  readonly label: string;
  readonly kinds: readonly ProtectionKind[];
  readonly guide?: string;
}) {
  const field = useField(path);
  const fuse = field.value as Fuse | undefined;
  const choose = (kind: ProtectionKind) => {
    const { ratingsA } = protectionFamilies[kind];
    const ratingA = ratingsA.find((rating) => rating >= (fuse?.ratingA ?? 10)) ?? ratingsA[ratingsA.length - 1];
    if (ratingA !== undefined) field.take({ kind, ratingA });
  };
  return (
    <View style={{ gap: 6 }}>
      <Words kind="strong">{label}</Words>
      <ChoiceRow
        label={label}
        value={fuse?.kind ?? 'none'}
        choices={[
          { value: 'none', label: 'None' },
          ...kinds.map((kind) => ({ value: kind as string, label: protectionFamilies[kind].name })),
        ]}
        onChoose={(kind) => (kind === 'none' ? field.take(undefined) : choose(kind as ProtectionKind))}
      />
      {fuse ? (
        <ChoiceRow
          label={`${label}, rating`}
          value={String(fuse.ratingA)}
          choices={protectionFamilies[fuse.kind].ratingsA.map((ratingA) => ({
            value: String(ratingA),
            label: `${ratingA}\u00a0A`,
          }))}
          onChoose={(ratingA) => field.take({ kind: fuse.kind, ratingA: Number(ratingA) })}
        />
      ) : null}
      {guide === undefined ? null : (
        <Words kind="small" muted>
          {guide}
        </Words>
      )}
    </View>
  );
}
