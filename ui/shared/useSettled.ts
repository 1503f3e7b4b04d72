'use client';
import { useEffect, useState } from 'react';

/** A value once it has stood still: what takes long is reckoned when a point has come to rest, not while it is dragged. */
export function useSettled<T>(value: T, ms = 250): T {
  const [settled, setSettled] = useState(value);
  useEffect(() => {
    const timer = setTimeout(() => setSettled(value), ms);
    return () => clearTimeout(timer);
  }, [value, ms]);
  return settled;
}
