/** Short tones made on the spot, no file: two rising ones. Loud enough for a workshop, over in half a second. */
const TONES = [
  { hz: 660, at: 0 },
  { hz: 880, at: 0.22 },
]
const LONG_S = 0.2
const LOUD = 0.4

let audio: AudioContext | null = null

/** Browsers let a page sound only after a press: this is called by one. */
export function allowSound(): void {
  audio ??= 'AudioContext' in window ? new AudioContext() : null
  void audio?.resume()
}

export function ring(): void {
  if (!audio) return
  for (const { hz, at } of TONES) {
    const [tone, volume] = [audio.createOscillator(), audio.createGain()]
    tone.frequency.value = hz
    const from = audio.currentTime + at
    // Up and down softly: a tone that is cut off clicks.
    volume.gain.setValueAtTime(0, from)
    volume.gain.linearRampToValueAtTime(LOUD, from + 0.02)
    volume.gain.linearRampToValueAtTime(0, from + LONG_S)
    tone.connect(volume).connect(audio.destination)
    tone.start(from)
    tone.stop(from + LONG_S)
  }
}
