/// <reference types="next/image-types/global" />
declare module '*.css';
declare module 'spectral.js';
/** What is used of it; it brings no types for its bundle. */
declare module 'libheif-js/wasm-bundle.js' {
  interface Shown {
    data: Uint8ClampedArray;
    width: number;
    height: number;
  }
  interface Picture {
    is_primary(): boolean;
    get_width(): number;
    get_height(): number;
    display(into: Shown, done: (shown: Shown | null) => void): void;
    free(): void;
  }
  const libheif: { HeifDecoder: new () => { decode(bytes: Uint8Array): Picture[] } };
  export default libheif;
}
