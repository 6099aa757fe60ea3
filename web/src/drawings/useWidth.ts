import { useLayoutEffect, useRef, useState } from 'react';

/** The width of an element in pixels, kept up to date: drawings keep their letters at true size. */
export function useWidth(at: number): [React.RefObject<HTMLDivElement | null>, number] {
  const element = useRef<HTMLDivElement | null>(null);
  const [width, setWidth] = useState(at);
  useLayoutEffect(() => {
    if (!element.current) {
      return undefined;
    }
    setWidth((now) => element.current?.clientWidth || now);
    const watch = new ResizeObserver(([seen]) => {
      if (seen && seen.contentRect.width > 0) {
        setWidth(seen.contentRect.width);
      }
    });
    watch.observe(element.current);
    return () => {
      watch.disconnect();
    };
  }, []);
  return [element, width];
}
