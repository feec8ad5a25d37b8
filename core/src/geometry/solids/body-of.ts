import type { Body } from './body.js';
import { polygonBody, rectBody, roundBody } from './frustum-bodies.js';
import { knownBody, meshBody, pipeBody } from './other-bodies.js';
import { arcBody, leafBody, ringBody, spiralBody } from './plan-bodies.js';
import { polyhedronBody } from './polyhedron-body.js';
import { prismBody } from './prism-body.js';
import type { Solid } from './solid.js';
import { capBody, ellipsoidBody, revolutionBody } from './turned-bodies.js';

function make(solid: Solid): Body {
  switch (solid.kind) {
    case 'round-frustum':
      return roundBody(solid);
    case 'rect-frustum':
      return rectBody(solid);
    case 'polygon-frustum':
      return polygonBody(solid);
    case 'cap':
      return capBody(solid);
    case 'half-ellipsoid':
      return ellipsoidBody(solid);
    case 'revolution':
      return revolutionBody(solid);
    case 'prism':
      return prismBody(solid);
    case 'ring':
      return ringBody(solid);
    case 'arc':
      return arcBody(solid);
    case 'spiral':
      return spiralBody(solid);
    case 'polyhedron':
      return polyhedronBody(solid);
    case 'lying-pipe':
      return pipeBody(solid);
    case 'leaf':
      return leafBody(solid);
    case 'mesh':
      return meshBody(solid);
    case 'known-volume':
      return knownBody(solid);
  }
}

/** Bodies by their solid: a solid never changes, and some take a while to make. */
const made = new WeakMap<Solid, Body>();

/** The body of a solid that was checked. */
export function bodyOf(solid: Solid): Body {
  const known = made.get(solid);
  if (known) return known;
  const body = make(solid);
  made.set(solid, body);
  return body;
}

const turned: readonly Solid['kind'][] = ['round-frustum', 'cap', 'half-ellipsoid', 'revolution'];

/** Whether a solid is round about its own axis. */
export const isTurned = (solid: Solid) => turned.includes(solid.kind);
