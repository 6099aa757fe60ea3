import { useEffect, useState } from 'react';

/** What a browser may or may not let the counter do; each is tried for itself. */
export const can = {
  stayAwake: 'wakeLock' in navigator,
  read: 'speechSynthesis' in window,
  notify: 'Notification' in window,
  isSecure: window.isSecureContext,
};

/** Keeps the screen on while the counter is open, where the browser can. */
export function useStayAwake(): boolean {
  const [isAwake, setIsAwake] = useState(false);
  useEffect(() => {
    if (!can.stayAwake) {
      return;
    }
    let lock: WakeLockSentinel | null = null;
    let isGone = false;
    const ask = async () => {
      if (document.visibilityState !== 'visible') {
        return;
      }
      try {
        lock = await navigator.wakeLock.request('screen');
        setIsAwake(!isGone);
        lock.addEventListener('release', () => setIsAwake(false));
      } catch {
        setIsAwake(false);
      }
    };
    const again = () => void ask();
    again();
    // A browser lets go of it whenever the page is hidden.
    document.addEventListener('visibilitychange', again);
    return () => {
      isGone = true;
      document.removeEventListener('visibilitychange', again);
      void lock?.release();
    };
  }, []);
  return isAwake;
}

/** Sounds once the page was touched, and for as long as it is open: a clock outlives the step that started it. */
let sound: AudioContext | null = null;

/** Lets the page ring later: browsers ask for a touch first. */
export function armAlarm(): void {
  sound ??= 'AudioContext' in window ? new AudioContext() : null;
  void sound?.resume();
  if (can.notify && Notification.permission === 'default') {
    void Notification.requestPermission();
  }
}

/** Rings, shakes and shows a notice when a clock has run out. */
export function ringAlarm(title: string, text: string): void {
  if (sound !== null) {
    beep(sound);
  }
  if ('vibrate' in navigator) {
    navigator.vibrate([200, 100, 200, 100, 200]);
  }
  if (can.notify && Notification.permission === 'granted') {
    new Notification(title, { body: text });
  }
}

function beep(through: AudioContext): void {
  for (const beat of [0, 0.35, 0.7]) {
    const tone = through.createOscillator();
    const volume = through.createGain();
    tone.frequency.value = 880;
    volume.gain.value = 0.2;
    tone.connect(volume).connect(through.destination);
    tone.start(through.currentTime + beat);
    tone.stop(through.currentTime + beat + 0.2);
  }
}

/** Reads a sentence aloud, where the browser can. */
export function read(text: string): void {
  if (can.read) {
    window.speechSynthesis.cancel();
    window.speechSynthesis.speak(new SpeechSynthesisUtterance(text));
  }
}
