/** OpenCV in WebAssembly, loaded once; a reference for tests alone. Handed over in a box, since the module itself has a `then` that never ends. */
/* eslint-disable @typescript-eslint/no-explicit-any */
import * as library from '@techstark/opencv-js';

let loaded: Promise<{ cv: any }> | null = null;

export function opencv(): Promise<{ cv: any }> {
  return (loaded ??= new Promise((done) => {
    const cv: any = (library as any).default ?? library;
    if (cv.Mat) return done({ cv });
    if (typeof cv.then === 'function')
      cv.then((ready: any) => {
        delete ready.then;
        done({ cv: ready });
      });
    else cv.onRuntimeInitialized = () => done({ cv });
  }));
}
