declare module '*.css';
declare module 'spectral.js';
