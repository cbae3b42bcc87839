/** Three short tones, made here: nothing is fetched. A browser lets them sound once somebody has touched the page. */
const TONES = [880, 1175, 880]
const EACH_S = 0.22
const LOUD = 0.4

let context: AudioContext | undefined

export function ring(): void {
  if (typeof AudioContext === 'undefined') return
  context ??= new AudioContext()
  const audio = context
  void audio
    .resume()
    .then(() =>
      TONES.forEach((pitch, i) => {
        const tone = audio.createOscillator()
        const volume = audio.createGain()
        const at = audio.currentTime + i * EACH_S * 1.4
        tone.frequency.value = pitch
        tone.type = 'square'
        volume.gain.setValueAtTime(LOUD, at)
        volume.gain.exponentialRampToValueAtTime(0.001, at + EACH_S)
        tone.connect(volume).connect(audio.destination)
        tone.start(at)
        tone.stop(at + EACH_S)
      }),
    )
    .catch(() => undefined)
  navigator.vibrate?.([200, 100, 200])
}
