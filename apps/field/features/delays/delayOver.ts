/** Two short tones, hertz and seconds. */
const tones = [660, 880] as const
const toneSeconds = 0.18

/** Whether the device may still be asked to show a notice while the page is out of sight. */
export const mayAsk = (): boolean =>
  typeof Notification === 'function' && Notification.permission === 'default'

/** Asks the device for leave to show notices. */
export async function askLeave(): Promise<void> {
  if (mayAsk()) await Notification.requestPermission()
}

/** A delay has passed: felt, heard, and shown where the page is out of sight; as far as the device has it. */
export function tellDelayOver(words: string): void {
  if (typeof navigator.vibrate === 'function') navigator.vibrate([120, 60, 120])
  ring()
  if (typeof Notification === 'function' && Notification.permission === 'granted' && document.hidden)
    new Notification('Jokulgale', { body: words, tag: 'delay' })
}

function ring(): void {
  if (typeof AudioContext !== 'function') return
  const audio = new AudioContext()
  const end = tones.length * toneSeconds
  tones.forEach((hertz, k) => {
    const tone = audio.createOscillator()
    const volume = audio.createGain()
    volume.gain.value = 0.15
    tone.frequency.value = hertz
    tone.connect(volume).connect(audio.destination)
    tone.start(audio.currentTime + k * toneSeconds)
    tone.stop(audio.currentTime + (k + 1) * toneSeconds)
  })
  setTimeout(() => void audio.close(), 1000 * end + 200)
}
