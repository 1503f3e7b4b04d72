/// <reference types="next/image-types/global" />
declare module '*.css';
declare module 'spectral.js';
