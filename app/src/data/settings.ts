import type { Choices } from '@harbor-latch/core/job/index';
import type { CableFamily, DropSchool, RuleSet } from '@harbor-latch/core/reference/index';
import type { UnitSystem } from '@harbor-latch/core/units/index';
import { createContext, useCallback, useContext, useEffect, useMemo, useState } from 'react';
import { z } from 'zod';

const settingsSchema = z.object({
  units: z.enum(['metric', 'us']).default('metric'),
  theme: z.enum(['system', 'light', 'dark']).default('system'),
  family: z.enum(['awg', 'metric']).default('awg'),
  rules: z.enum(['us', 'iso']).default('us'),
  dropSchool: z.enum(['critical', 'general']).default('critical'),
  textSize: z.enum(['usual', 'large', 'largest', 'double']).default('usual'),
  person: z.string().max(80).default('').catch(''),
});

/** What this device prefers. New circuits take the cable family over. */
export interface Settings {
  readonly units: UnitSystem;
  readonly theme: 'system' | 'light' | 'dark';
  readonly family: CableFamily;
  readonly rules: RuleSet;
  readonly dropSchool: DropSchool;
  readonly textSize: 'usual' | 'large' | 'largest' | 'double';
  /** Who works with this device, as others read it beside a change; empty where nobody said. */
  readonly person: string;
}

/** The choices a new circuit begins with. */
export function choicesOfNew({ family, rules, dropSchool }: Settings): Choices {
  return {
    family,
    ...(rules === 'us' ? {} : { rules }),
    ...(dropSchool === 'critical' ? {} : { dropSchool }),
  };
}

export interface SettingsAccess {
  readonly settings: Settings;
  change(part: Partial<Settings>): void;
}

const KEY = 'latch.settings';
const fallback: Settings = settingsSchema.parse({});

/** This device's settings as they are kept. */
export function readSettings(): Settings {
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
  // Changed in another tab: taken over, or the next change made here would undo it.
  useEffect(() => {
    const hear = ({ key }: StorageEvent) => {
      if (key === KEY || key === null) setSettings(readSettings());
    };
    window.addEventListener('storage', hear);
    return () => window.removeEventListener('storage', hear);
  }, []);
  const change = useCallback((part: Partial<Settings>) => {
    setSettings((before) => {
      const after = { ...before, ...part };
      try {
        window.localStorage.setItem(KEY, JSON.stringify(after));
      } catch {
        // Where nothing may be stored they hold while the page is open.
      }
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
