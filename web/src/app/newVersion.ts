import { told } from '../api/told';

/** Makes the version that waits the one that is used; null while none waits. */
const waiting = told<(() => void) | null>(null);

/** Keeps the screens on the device where the browser can, which takes https or this very machine. */
export async function keepOnDevice(): Promise<void> {
  if (!import.meta.env.PROD || !('serviceWorker' in navigator) || !window.isSecureContext) {
    return;
  }
  const { Workbox } = await import('workbox-window');
  const worker = new Workbox('/sw.js', { scope: '/' });
  worker.addEventListener('waiting', () => {
    waiting.set(() => {
      worker.addEventListener('controlling', () => window.location.reload());
      worker.messageSkipWaiting();
    });
  });
  await worker.register();
}

export const useNewVersion = waiting.use;
