/** A knock stands out of the noise of the room by so much, and over this at all (0…1 of the microphone’s range). */
const OVER_NOISE = 6
const LEAST = 0.05
/** How fast the room’s noise is followed, a look. */
const FOLLOWS = 0.05

/** Hears where a sound begins that stands out of the room’s noise; what stays loud is soon the room’s. */
class Onset {
  private noise = 0.01
  private loud = false

  hear(level: number): boolean {
    const above = level > Math.max(LEAST, OVER_NOISE * this.noise)
    if (!above || this.loud) this.noise += FOLLOWS * (level - this.noise)
    const begins = above && !this.loud
    this.loud = above
    return begins
  }
}

/** An ear: fed with how loud each moment was, it says at which moment it heard what it listens for. */
export interface Ear {
  /** @param level root mean square of the moment, 0…1 */
  hear(level: number, ms: number): boolean
}

/** The two of a double knock lie this far apart, ms; the ringing of one is over sooner. */
const APART_MS = [120, 700] as const
/** A second pair is not heard before that, ms. */
const REST_MS = 1200

/** Hears two knocks on the bench one after the other: nothing that is loud for long, no single blow of a hammer. */
export class KnockEar implements Ear {
  private readonly onset = new Onset()
  private last = -Infinity
  private heard = -Infinity

  hear(level: number, ms: number): boolean {
    if (!this.onset.hear(level)) return false
    const since = ms - this.last
    if (since < APART_MS[0]) return false
    this.last = ms
    if (since > APART_MS[1] || ms - this.heard < REST_MS) return false
    this.heard = ms
    this.last = -Infinity
    return true
  }
}

/** Two clicks of one thing bent to and fro lie further apart than one click rings, ms. */
const CLICK_RINGS_MS = 120

/** Hears each click of what is bent against a stop: one a cycle. */
export class ClickEar implements Ear {
  private readonly onset = new Onset()
  private last = -Infinity

  hear(level: number, ms: number): boolean {
    if (!this.onset.hear(level) || ms - this.last < CLICK_RINGS_MS) return false
    this.last = ms
    return true
  }
}

/** Moments a second are 1000 / this. */
const LOOK_MS = 25

/**
 * Listens with an ear until it is told to stop; no sound is kept.
 * @throws Error with a sentence where the microphone is not allowed or there is none
 */
export async function listenWith(listens: Ear, heard: () => void): Promise<() => void> {
  const stream = await navigator.mediaDevices
    ?.getUserMedia({ audio: { echoCancellation: false, noiseSuppression: false, autoGainControl: false } })
    .catch((cause: unknown) => {
      throw new Error('The microphone is not allowed, or there is none: allow it in the browser, or tap.', { cause })
    })
  if (!stream) throw new Error('This browser has no microphone here: tap, or use Space.')
  const audio = new AudioContext()
  const ear = audio.createAnalyser()
  ear.fftSize = 1024
  audio.createMediaStreamSource(stream).connect(ear)
  const samples = new Float32Array(ear.fftSize)
  const timer = setInterval(() => {
    ear.getFloatTimeDomainData(samples)
    const level = Math.sqrt(samples.reduce((sum, one) => sum + one * one, 0) / samples.length)
    if (listens.hear(level, audio.currentTime * 1000)) heard()
  }, LOOK_MS)
  return () => {
    clearInterval(timer)
    stream.getTracks().forEach((track) => track.stop())
    void audio.close()
  }
}
