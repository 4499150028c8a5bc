/** A knock stands out of the noise of the room by so much, and over this at all (0…1 of the microphone’s range). */
const OVER_NOISE = 6
const LEAST = 0.05
/** The two of a double knock lie this far apart, ms; the ringing of one is over sooner. */
const APART_MS = [120, 700] as const
/** A second pair is not heard before that, ms. */
const REST_MS = 1200
/** How fast the room’s noise is followed, a look. */
const FOLLOWS = 0.05

/**
 * Hears two knocks on the bench one after the other: nothing that is loud for long, no single blow of a hammer. What
 * it is fed with is how loud each moment was; no sound is kept.
 */
export class KnockEar {
  private noise = 0.01
  private last = -Infinity
  private loud = false
  private heard = -Infinity

  /**
   * @param level root mean square of the moment, 0…1
   * @returns whether that was the second knock of two
   */
  hear(level: number, ms: number): boolean {
    const above = level > Math.max(LEAST, OVER_NOISE * this.noise)
    if (!above) {
      this.noise += FOLLOWS * (level - this.noise)
      this.loud = false
      return false
    }
    // What stays loud is one noise, and soon the noise of the room.
    if (this.loud) {
      this.noise += FOLLOWS * (level - this.noise)
      return false
    }
    this.loud = true
    const since = ms - this.last
    if (since < APART_MS[0]) return false
    this.last = ms
    if (since > APART_MS[1] || ms - this.heard < REST_MS) return false
    this.heard = ms
    this.last = -Infinity
    return true
  }
}

/** Moments a second are 1000 / this. */
const LOOK_MS = 25

/**
 * Listens for two knocks until it is told to stop.
 * @throws Error with a sentence where the microphone is not allowed or there is none
 */
export async function listenForKnocks(knocked: () => void): Promise<() => void> {
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
  const knock = new KnockEar()
  const timer = setInterval(() => {
    ear.getFloatTimeDomainData(samples)
    const level = Math.sqrt(samples.reduce((sum, one) => sum + one * one, 0) / samples.length)
    if (knock.hear(level, audio.currentTime * 1000)) knocked()
  }, LOOK_MS)
  return () => {
    clearInterval(timer)
    stream.getTracks().forEach((track) => track.stop())
    void audio.close()
  }
}
