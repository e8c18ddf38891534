import type { DrumLeft } from '@harbor-latch/core/build/stockLedger';
import { insulationColours, type InsulationColour } from '@harbor-latch/core/job/index';
import { conductorSizes, type CableFamily } from '@harbor-latch/core/reference/index';
import { colourInWords } from '@harbor-latch/core/schemes/colourInWords';
import { formatQuantity, parseQuantity, shownUnit, type UnitSystem } from '@harbor-latch/core/units/index';
import { stockChangeSchema, type StockChange } from '@harbor-latch/core/wire/index';
import { zodResolver } from '@hookform/resolvers/zod';
import { useState } from 'react';
import { useForm } from 'react-hook-form';
import { View } from 'react-native';
import { z } from 'zod';
import { useSettings, useUnits } from '../../data/settings';
import { ChoiceRow } from '../../ui/ChoiceRow';
import { DialogField } from '../../ui/DialogField';
import { ModalDialog } from '../../ui/ModalDialog';
import { Words } from '../../ui/Words';

const SHEATHED = ['2', '3', '4', '5'] as const;
const PLAIN = 'none';
const INSULATIONS = ['75', '90', '105'] as const;

type Cores = 'single' | (typeof SHEATHED)[number];

/** Sizes that a bilge-pump circuit is cut from: those first that are asked for most. */
const sizesOf = (family: CableFamily) => conductorSizes[family].map(({ size }) => size);

/** A length as typed, m, or what is wrong with it. */
function metresOf(units: UnitSystem) {
  return z.string().transform((typed, context) => {
    const parsed = parseQuantity(typed, 'length', units);
    if (parsed.ok && parsed.base >= 0 && parsed.base <= 1000) return parsed.base;
    context.addIssue({
      code: 'custom',
      message: parsed.ok ? 'A drum holds 0 to 1000 m.' : parsed.message,
    });
    return z.NEVER;
  });
}

/** Asks what a drum or offcut is; of one that is listed, how much is left on it. */
export function DrumDialog({
  of,
  onDrum,
  onClose,
}: {
  /** The drum that is counted anew; null for a new one. */
  readonly of: DrumLeft | null;
  readonly onDrum: (change: StockChange, said: string) => void;
  readonly onClose: () => void;
}) {
  const units = useUnits();
  const { settings } = useSettings();
  const [family, setFamily] = useState<CableFamily>(settings.family);
  const [size, setSize] = useState<string>(family === 'awg' ? '14 AWG' : '2.5 mm²');
  const [cores, setCores] = useState<Cores>('single');
  const [base, setBase] = useState<InsulationColour>('red');
  const [stripe, setStripe] = useState<InsulationColour | typeof PLAIN>(PLAIN);
  const [insulationC, setInsulationC] = useState<(typeof INSULATIONS)[number]>('105');
  const [opened, setOpened] = useState<'whole' | 'begun'>('whole');
  const { control, handleSubmit, setError } = useForm({
    resolver: zodResolver(z.object({ metres: metresOf(units), place: z.string().max(60) })),
    defaultValues: {
      metres: of ? formatQuantity(of.metres, 'length', units).replace(/[^\d.]+$/, '') : '',
      place: of?.place ?? '',
    },
  });
  const colour =
    cores === 'single' ? colourInWords(stripe === PLAIN ? { base } : { base, stripe }) : `${cores} cores, sheathed`;
  const today = new Date().toISOString().slice(0, 10);
  const submit = () =>
    void handleSubmit(({ metres, place }) => {
      const where = place.trim() === '' ? {} : { place: place.trim() };
      const what = of
        ? { drum: of.id, size: of.size, colour: of.colour, insulationC: of.insulationC, opened: of.opened ?? today }
        : {
            drum: crypto.randomUUID(),
            size,
            colour,
            insulationC: Number(insulationC),
            opened: opened === 'whole' ? null : today,
          };
      const read = stockChangeSchema.safeParse({ kind: 'drum', ...what, metres, ...where });
      if (!read.success) {
        setError('metres', { message: read.error.issues[0]?.message ?? 'That cannot be.' });
        return;
      }
      const length = formatQuantity(metres, 'length', units);
      onDrum(read.data, of ? `Counted: ${length} left` : `${size}, ${colour}: ${length} added`);
    })();
  const unit = shownUnit('length', units).symbol;
  return (
    <ModalDialog
      title={of ? `${of.size}, ${of.colour}` : 'A drum or offcut'}
      action={of ? 'Counted' : 'Add'}
      onAction={submit}
      onClose={onClose}
    >
      <View>
        <DialogField
          control={control}
          name="metres"
          label={of ? `Left on it, ${unit}` : `On it, ${unit}`}
          hint="Measured or as bought"
          onSubmit={submit}
          autoFocus={of !== null && matchMedia('(pointer: fine)').matches}
        />
      </View>
      {of ? null : (
        <>
          <ChoiceRow
            label="Sizes in"
            value={family}
            choices={[
              { value: 'awg' as const, label: 'AWG' },
              { value: 'metric' as const, label: 'mm²' },
            ]}
            onChoose={(next) => {
              setFamily(next);
              setSize(next === 'awg' ? '14 AWG' : '2.5 mm²');
            }}
          />
          <ChoiceRow
            label="Size"
            value={size}
            choices={sizesOf(family).map((value) => ({ value, label: value.replace(/ (AWG|mm²)$/, '') }))}
            onChoose={setSize}
          />
          <ChoiceRow<Cores>
            label="Cores"
            value={cores}
            choices={[
              { value: 'single', label: 'Single' },
              ...SHEATHED.map((value) => ({ value, label: `${value} cores` })),
            ]}
            onChoose={setCores}
          />
          {cores === 'single' ? (
            <>
              <Words kind="strong">Colour</Words>
              <ChoiceRow
                label="Colour"
                value={base}
                choices={insulationColours.map((value) => ({ value, label: value }))}
                onChoose={setBase}
              />
              <Words kind="strong">Stripe</Words>
              <ChoiceRow<InsulationColour | typeof PLAIN>
                label="Stripe"
                value={stripe}
                choices={[
                  { value: PLAIN, label: 'none' },
                  ...(['white', 'red', 'yellow', 'black'] as const).map((value) => ({ value, label: value })),
                ]}
                onChoose={setStripe}
              />
            </>
          ) : null}
          <Words kind="strong">Insulation, °C</Words>
          <ChoiceRow
            label="Insulation, °C"
            value={insulationC}
            choices={INSULATIONS.map((value) => ({ value, label: value }))}
            onChoose={setInsulationC}
          />
          <ChoiceRow
            label="Whether it was cut from"
            value={opened}
            choices={[
              { value: 'whole' as const, label: 'Whole' },
              { value: 'begun' as const, label: 'Cut from already' },
            ]}
            onChoose={setOpened}
          />
        </>
      )}
      <DialogField control={control} name="place" label="Where it lies" hint="Van, store, shelf" onSubmit={submit} />
    </ModalDialog>
  );
}
