/** What an instrument says beside its figures. */
export type Said =
  | { what: 'overload' }
  | { what: 'battery-low' }
  /** a line that its description does not fit */
  | { what: 'nonsense'; line: string }
  /** what came without an end was dropped */
  | { what: 'full' }

/** Who hears an instrument. */
export interface Listener<T> {
  sample(one: T): void
  said(one: Said): void
  /** it is over: null where it was closed or had nothing more to say, else why, in a sentence */
  ended(why: string | null): void
}

export interface Link {
  /** what is read so far stays read */
  close(): Promise<void>
}

/** An instrument that can be read: a real one, or a stand-in that says so. */
export interface Source<T> {
  name: string
  simulated: boolean
  /** @throws Error with a sentence that says what to do */
  open(listener: Listener<T>): Promise<Link>
}

/** One sample of a force gauge. */
export interface ForceSample {
  /** ms since the link was opened */
  ms: number
  n: number
  mm: number | null
}

/** One sample of a climate sensor. */
export interface ClimateSample {
  tempC: number
  rh: number
}
