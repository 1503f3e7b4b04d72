/** Knows that a panel belongs to the picture shown: while another loads, nothing can be typed into it. */
import { createContext } from 'react';

export const PanelLock = createContext<(locked: boolean) => void>(() => {});
