import type { JobProblem } from '@harbor-latch/core/file/index';
import { placeInWords, type Job } from '@harbor-latch/core/job/index';
import { useRouter } from 'expo-router';
import { useState } from 'react';
import { v7 } from 'uuid';
import { View } from 'react-native';
import { useDrafts } from '../../data/boats';
import { chooseFiles, readChosen } from '../../data/files';
import { readSettings } from '../../data/settings';
import { useYardOnDevice } from '../../data/yardOnDevice';
import { sameJob } from '../../device/changes';
import { BigButton } from '../../ui/BigButton';
import { ConfirmDialog } from '../../ui/ConfirmDialog';
import { Notice } from '../../ui/Notice';
import { useSay } from '../../ui/Said';
import { Differences } from '../../saving/Differences';
import { useSayChange } from '../../useSayChange';

type ImportState =
  | { readonly kind: 'idle' }
  | { readonly kind: 'refused'; readonly file: string; readonly problems: readonly JobProblem[] }
  /** A boat of this id is in the yard already. */
  | { readonly kind: 'known'; readonly job: Job; readonly here: Job };

export interface Importing {
  readonly state: ImportState;
  choose(): void;
  dismiss(): void;
  replace(): void;
  addAsCopy(): void;
}

/** Choosing a job file, or a boat with her records in one file, and taking it into the yard. */
export function useImport(): Importing {
  const drafts = useDrafts();
  const { aboard } = useYardOnDevice();
  const router = useRouter();
  const say = useSay();
  const sayChange = useSayChange();
  const [state, setState] = useState<ImportState>({ kind: 'idle' });
  const arrive = (job: Job, tell: (text: string) => void) => {
    setState({ kind: 'idle' });
    tell(`Imported ${job.boat.name}`);
    router.navigate(`/boat/${job.boat.id}`);
  };
  const add = (job: Job) => {
    drafts.add(job);
    arrive(job, (text) =>
      say(text, () => {
        void drafts.remove(job.boat.id);
        router.navigate('/');
      }),
    );
  };
  const bring = (job: Job) => {
    const here = drafts.all().get(job.boat.id);
    if (here && !sameJob(here.job, job)) setState({ kind: 'known', job, here: here.job });
    else if (here) {
      say(`${job.boat.name} is here as she is in the file`);
      router.navigate(`/boat/${job.boat.id}`);
    } else add(job);
  };
  const choose = async () => {
    const [file] = await chooseFiles('.json,.zip,application/json,application/zip');
    if (!file) return;
    if (/\.zip$/i.test(file.name) || file.type === 'application/zip') return void (await bringBundle(file));
    const read = await readChosen(file);
    if (read.ok) bring(read.job);
    else setState({ kind: 'refused', file: file.name, problems: read.problems });
  };
  const bringBundle = async (file: File) => {
    // What reads and checks records is not part of the first screen.
    const readBundle = await import('../laterPages').then(({ readBundle: reads }) => reads);
    const hand = () => ({ by: readSettings().person, now: Date.now(), newId: () => v7() });
    const read = await readBundle(new Uint8Array(await file.arrayBuffer()), aboard, hand);
    if (!read.ok)
      return setState({ kind: 'refused', file: file.name, problems: [{ path: '$', message: read.message }] });
    await read.take();
    bring(read.job);
  };
  return {
    state,
    choose: () => void choose(),
    dismiss: () => setState({ kind: 'idle' }),
    replace: () => {
      if (state.kind !== 'known') return;
      const { job } = state;
      drafts.replace(job.boat.id, job);
      arrive(job, (text) => sayChange(job.boat.id, text));
    },
    addAsCopy: () => {
      if (state.kind !== 'known') return;
      const { boat } = state.job;
      add({ ...state.job, boat: { ...boat, id: crypto.randomUUID(), name: `${boat.name}, copy`.slice(0, 200) } });
    },
  };
}

const MOST_SHOWN = 4;

/** What came of an import, in place. */
export function ImportNotice({ importing }: { readonly importing: Importing }) {
  const { state } = importing;
  switch (state.kind) {
    case 'idle':
      return null;
    case 'refused':
      return (
        <View style={{ gap: 8 }}>
          <Notice
            tone="stop"
            icon="file-alert-outline"
            actions={
              <BigButton mode="outlined" onPress={importing.dismiss}>
                Dismiss
              </BigButton>
            }
          >
            {[
              `${state.file} was not imported. Nothing was changed.`,
              ...state.problems
                .slice(0, MOST_SHOWN)
                .map(({ path, message }) => (path === '$' ? message : `${placeInWords(path)}: ${message}`)),
              ...(state.problems.length > MOST_SHOWN ? [`And ${state.problems.length - MOST_SHOWN} more.`] : []),
            ].join('\n')}
          </Notice>
        </View>
      );
    case 'known':
      return (
        <ConfirmDialog
          title={`${state.job.boat.name} is in the yard already`}
          text="Replace it by the file, or add the file as a boat of its own? Replacing can be undone. Here now → in the file:"
          more={<Differences before={state.here} after={state.job} />}
          actions={[
            { label: 'Add as a copy', onPress: importing.addAsCopy },
            { label: 'Replace', onPress: importing.replace },
          ]}
          onClose={importing.dismiss}
        />
      );
    default:
      return state satisfies never;
  }
}
