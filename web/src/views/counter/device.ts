import { useCallback, useEffect, useRef, useState } from 'react';

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

/** Rings, shakes and shows a notice when a clock has run out. */
export function useAlarm(): { arm: () => void; ring: (title: string, text: string) => void } {
  const audio = useRef<AudioContext | null>(null);
  const arm = useCallback(() => {
    // Browsers let a page sound only after it was touched.
    audio.current ??= 'AudioContext' in window ? new AudioContext() : null;
    void audio.current?.resume();
    if (can.notify && Notification.permission === 'default') {
      void Notification.requestPermission();
    }
  }, []);
  const ring = useCallback((title: string, text: string) => {
    const sound = audio.current;
    if (sound !== null) {
      for (const beat of [0, 0.35, 0.7]) {
        const tone = sound.createOscillator();
        const volume = sound.createGain();
        tone.frequency.value = 880;
        volume.gain.value = 0.2;
        tone.connect(volume).connect(sound.destination);
        tone.start(sound.currentTime + beat);
        tone.stop(sound.currentTime + beat + 0.2);
      }
    }
    if ('vibrate' in navigator) {
      navigator.vibrate([200, 100, 200, 100, 200]);
    }
    if (can.notify && Notification.permission === 'granted') {
      new Notification(title, { body: text });
    }
  }, []);
  return { arm, ring };
}

/** Reads a sentence aloud, where the browser can. */
export function read(text: string): void {
  if (can.read) {
    window.speechSynthesis.cancel();
    window.speechSynthesis.speak(new SpeechSynthesisUtterance(text));
  }
}
