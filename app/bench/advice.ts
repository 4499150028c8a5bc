import { adviceOn } from '../../core/planning/draft/procedure'
import type { Procedure } from '../../core/records/procedure'
import type { Setting } from '../../core/screening/shortlist'

type Advice = ReturnType<typeof adviceOn>
/** Advice by the setting that it was asked in: it goes with the setting. */
const known = new WeakMap<Setting, Map<string, Advice>>()

/** The advice on a procedure's glues in a setting, worked out once: pages and checks ask for it many times. */
export function adviceRemembered(procedure: Procedure, setting: Setting): Advice {
  const { family, adhesive, helpers, second } = procedure
  const key = JSON.stringify([family, adhesive, helpers, second ?? null])
  const inSetting = known.get(setting) ?? new Map<string, Advice>()
  known.set(setting, inSetting)
  if (!inSetting.has(key)) inSetting.set(key, adviceOn(procedure, setting))
  return inSetting.get(key)!
}
