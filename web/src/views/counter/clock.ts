import { useEffect, useState } from 'react';
import { serverNow } from '../../api/queue';

/** The server's time, moving on every second. */
export function useNow(): number {
  const [now, setNow] = useState(serverNow);
  useEffect(() => {
    const timer = window.setInterval(() => setNow(serverNow()), 1000);
    return () => window.clearInterval(timer);
  }, []);
  return now;
}

/** Seconds as a clock shows them: 4:05, 1:04:05, and days as hours. */
export function clockOf(seconds: number): string {
  const whole = Math.max(0, Math.ceil(seconds));
  const two = (part: number): string => String(part).padStart(2, '0');
  const [hours, minutes] = [Math.floor(whole / 3600), Math.floor(whole / 60) % 60];
  return hours > 0 ? `${String(hours)}:${two(minutes)}:${two(whole % 60)}` : `${String(minutes)}:${two(whole % 60)}`;
}
