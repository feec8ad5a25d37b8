import { useEffect, useMemo, useRef } from 'react';
import { defined } from '@dewpot/core/math';
import type { Thickness } from '@dewpot/core/meshes';
import { surfaceOf, type MouldShape } from '@dewpot/core/moulds';
import {
  AmbientLight,
  BufferAttribute,
  BufferGeometry,
  Color,
  DirectionalLight,
  DoubleSide,
  EdgesGeometry,
  Group,
  LineBasicMaterial,
  LineSegments,
  Mesh,
  MeshLambertMaterial,
  PerspectiveCamera,
  Points,
  PointsMaterial,
  Scene,
  WebGLRenderer,
} from 'three';
import { OrbitControls } from 'three/addons/controls/OrbitControls.js';
import { useSay } from '../ui/say';

/** Bends sharper than this are drawn as edges, degrees. */
const CREASE = 24;
const MOST_EDGED = 4000;

/** Colours of the theme at hand. */
function themeColours(element: HTMLElement) {
  const style = getComputedStyle(element);
  const probe = (name: string, fallback: string) => {
    const canvas = defined(document.createElement('canvas').getContext('2d'));
    canvas.fillStyle = style.getPropertyValue(name).trim() || fallback;
    canvas.fillRect(0, 0, 1, 1);
    const [r, g, b] = canvas.getImageData(0, 0, 1, 1).data;
    return new Color(`rgb(${r}, ${g}, ${b})`);
  };
  return {
    body: probe('--concrete', '#b3ada1'),
    line: probe('--color-base-content', '#26241f'),
    thin: probe('--color-accent', '#a9502f'),
  };
}

/** Thickness up to which places are coloured, over the thinnest. */
const FAR = 3;

/** Places by how thick the mesh is there: the thinnest in the accent, paling to the body's own colour. */
function marked(
  places: readonly Thickness[],
  colours: ReturnType<typeof themeColours>,
  move: (at: Thickness['at']) => number[],
): Points {
  const thinnest = defined(places[0]).thickness;
  const geometry = new BufferGeometry();
  geometry.setAttribute('position', new BufferAttribute(new Float32Array(places.flatMap(({ at }) => move(at))), 3));
  const tints = places.flatMap(({ thickness }) => {
    const share = Math.min(1, (thickness / thinnest - 1) / (FAR - 1));
    return colours.thin.clone().lerp(colours.body, share).toArray();
  });
  geometry.setAttribute('color', new BufferAttribute(new Float32Array(tints), 3));
  return new Points(geometry, new PointsMaterial({ size: 0.035, vertexColors: true }));
}

function build(positions: Float32Array, colours: ReturnType<typeof themeColours>, places: readonly Thickness[]): Group {
  const geometry = new BufferGeometry();
  geometry.setAttribute('position', new BufferAttribute(positions, 3));
  geometry.computeVertexNormals();
  geometry.computeBoundingSphere();
  const { center, radius } = defined(geometry.boundingSphere);
  geometry.translate(-center.x, -center.y, -center.z);
  geometry.scale(1 / radius, 1 / radius, 1 / radius);
  const body = new Mesh(
    geometry,
    new MeshLambertMaterial({ color: colours.body, side: DoubleSide, flatShading: true }),
  );
  const group = new Group();
  group.add(body);
  // Finding the edges of a large mesh would hold the page up.
  if (positions.length / 9 <= MOST_EDGED)
    group.add(new LineSegments(new EdgesGeometry(geometry, CREASE), new LineBasicMaterial({ color: colours.line })));
  if (places.length > 0) {
    const centre = [center.x, center.y, center.z];
    group.add(marked(places, colours, (at) => at.map((n, k) => (n - defined(centre[k])) / radius)));
  }
  return group;
}

const NONE: readonly Thickness[] = [];

/** The piece as a solid that is turned by drag, wheel or arrow keys. Positions are triangles, mm, z upwards. */
export function TurningSolid({
  positions,
  label,
  places = NONE,
}: {
  positions: Float32Array;
  label: string;
  /** Thicknesses to mark, thinnest first. */
  places?: readonly Thickness[];
}) {
  const say = useSay();
  const canvas = useRef<HTMLCanvasElement>(null);
  useEffect(() => {
    const element = defined(canvas.current);
    const renderer = new WebGLRenderer({ canvas: element, antialias: true, alpha: true });
    const { clientWidth: width, clientHeight: height } = element;
    renderer.setPixelRatio(Math.min(2, window.devicePixelRatio));
    renderer.setSize(width, height, false);
    const scene = new Scene();
    const group = build(positions, themeColours(element), places);
    const sun = new DirectionalLight('#fff', 2.4);
    sun.position.set(-3, -4, 5);
    scene.add(group, new AmbientLight('#fff', 1.1), sun);
    const camera = new PerspectiveCamera(32, width / height, 0.1, 30);
    camera.up.set(0, 0, 1);
    camera.position.set(1.5, -3.4, 1.9);
    const controls = new OrbitControls(camera, element);
    controls.enablePan = false;
    const draw = () => renderer.render(scene, camera);
    controls.addEventListener('change', draw);
    const step = (event: KeyboardEvent) => {
      const turns: Record<string, number> = { ArrowLeft: -0.15, ArrowRight: 0.15 };
      if (!(event.key in turns)) return;
      group.rotation.z += defined(turns[event.key]);
      draw();
    };
    element.addEventListener('keydown', step);
    controls.update();
    draw();
    return () => {
      element.removeEventListener('keydown', step);
      controls.dispose();
      renderer.dispose();
    };
  }, [positions, places]);
  return (
    <canvas
      ref={canvas}
      tabIndex={0}
      role="img"
      aria-label={say('moulds.dragToTurn', { label })}
      className="block h-80 w-full touch-none"
    />
  );
}

/** A mould's piece, turned about. */
export function TurningView({ shape }: { shape: MouldShape }) {
  const say = useSay();
  const positions = useMemo(() => surfaceOf(shape), [shape]);
  return <TurningSolid positions={positions} label={say('moulds.thePiece')} />;
}
