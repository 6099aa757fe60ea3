import { useSyncExternalStore } from 'react';

/** Makes the version that waits the one that is used; null while none waits. */
let use: (() => void) | null = null;

const listeners = new Set<() => void>();

/** Keeps the screens on the device where the browser can, which takes https or this very machine. */
export async function keepOnDevice(): Promise<void> {
  if (!import.meta.env.PROD || !('serviceWorker' in navigator) || !window.isSecureContext) {
    return;
  }
  const { Workbox } = await import('workbox-window');
  const worker = new Workbox('/sw.js', { scope: '/' });
  worker.addEventListener('waiting', () => {
    use = () => {
      worker.addEventListener('controlling', () => window.location.reload());
      worker.messageSkipWaiting();
    };
    listeners.forEach((tell) => tell());
  });
  await worker.register();
}

export const useNewVersion = (): (() => void) | null =>
  useSyncExternalStore(
    (tell) => {
      listeners.add(tell);
      return () => listeners.delete(tell);
    },
    () => use,
  );
