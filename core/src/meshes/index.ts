export * from './analyse-mesh.js';
export * from './measure-mesh.js';
export { pathLoops } from './path-loops.js';
export * from './read-drawing.js';
export * from './read-mesh.js';
export * from './refuse.js';
export * from './slice-mesh.js';
export * from './thickness.js';
export * from './triangles.js';
