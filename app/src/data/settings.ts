import type { CableFamily } from '@harbor-latch/core/reference/index';
import type { UnitSystem } from '@harbor-latch/core/units/index';
import { createContext, useCallback, useContext, useMemo, useState } from 'react';
import { z } from 'zod';

const settingsSchema = z.object({
  units: z.enum(['metric', 'us']).default('metric'),
  theme: z.enum(['system', 'light', 'dark']).default('system'),
  family: z.enum(['awg', 'metric']).default('awg'),
});

/** What this device prefers. New circuits take the cable family over. */
export interface Settings {
  readonly units: UnitSystem;
  readonly theme: 'system' | 'light' | 'dark';
  readonly family: CableFamily;
}

export interface SettingsAccess {
  readonly settings: Settings;
  change(part: Partial<Settings>): void;
}

const KEY = 'latch.settings';
const fallback: Settings = { units: 'metric', theme: 'system', family: 'awg' };

function readSettings(): Settings {
  try {
    return settingsSchema.parse(JSON.parse(window.localStorage.getItem(KEY) ?? '{}'));
  } catch {
    return fallback;
  }
}

export const SettingsContext = createContext<SettingsAccess>({ settings: fallback, change: () => undefined });

/** Settings kept on this device, for the provider at the root. */
export function useStoredSettings(): SettingsAccess {
  const [settings, setSettings] = useState(readSettings);
  const change = useCallback((part: Partial<Settings>) => {
    setSettings((before) => {
      const after = { ...before, ...part };
      window.localStorage.setItem(KEY, JSON.stringify(after));
      return after;
    });
  }, []);
  return useMemo(() => ({ settings, change }), [settings, change]);
}

/** This device's settings, and how to change them. */
export function useSettings(): SettingsAccess {
  return useContext(SettingsContext);
}

/** The unit system in force. */
export function useUnits(): UnitSystem {
  return useSettings().settings.units;
}
