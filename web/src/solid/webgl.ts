import {
  AmbientLight,
  BufferAttribute,
  BufferGeometry,
  DirectionalLight,
  DoubleSide,
  LineBasicMaterial,
  LineSegments,
  Mesh,
  MeshLambertMaterial,
  OrthographicCamera,
  Scene,
  WebGLRenderer,
} from 'three';
import { toCreasedNormals } from 'three/addons/utils/BufferGeometryUtils.js';
import { CREASE } from './edges';
import { axesOf, type Colours, type Extent, extentOf, reachUp, type Stage } from './stage';

/** Draws with WebGL. @throws Error where the browser has none */
export function onWebGL(canvas: HTMLCanvasElement, colours: Colours): Stage {
  const renderer = new WebGLRenderer({ canvas, antialias: true, alpha: false, preserveDrawingBuffer: true });
  renderer.setClearColor(colours.paper);
  const scene = new Scene();
  const camera = new OrthographicCamera();
  const sun = new DirectionalLight('#ffffff', 2.2);
  scene.add(new AmbientLight('#ffffff', 1.5), sun);
  const [metal, section] = [new MeshLambertMaterial({ color: colours.metal }), new MeshLambertMaterial({ color: colours.section })];
  // behind the finest cracks where faces were split lies metal, not paper
  for (const m of [metal, section]) Object.assign(m, { side: DoubleSide, polygonOffset: true, polygonOffsetFactor: 1, polygonOffsetUnits: 1 });
  const line = new LineBasicMaterial({ color: colours.ink });
  const mesh = new Mesh(new BufferGeometry(), [metal, section]);
  const lines = new LineSegments(new BufferGeometry(), line);
  scene.add(mesh, lines);
  const stands = new MeshLambertMaterial({ color: colours.beside, side: DoubleSide });
  let others = new Map<Float32Array, Mesh>();
  let [width, height] = [1, 1];
  let seen: Extent = { middle: [0, 0, 0], half: [1, 1, 1] };
  return {
    show: (cut, fitted) => {
      seen = fitted ?? extentOf(cut);
      const raw = new BufferGeometry();
      raw.setAttribute('position', new BufferAttribute(cut.corners, 3));
      const rounded = toCreasedNormals(raw, (CREASE * Math.PI) / 180);
      rounded.addGroup(0, cut.metal, 0);
      rounded.addGroup(cut.metal, Infinity, 1);
      mesh.geometry.dispose();
      lines.geometry.dispose();
      mesh.geometry = rounded;
      lines.geometry = new BufferGeometry();
      lines.geometry.setAttribute('position', new BufferAttribute(cut.edges, 3));
    },
    beside: (bodies) => {
      const next = new Map<Float32Array, Mesh>();
      for (const { corners, at } of bodies) {
        const body = others.get(corners) ?? bodyOf(corners, stands);
        if (!others.delete(corners)) scene.add(body);
        body.position.set(...at);
        next.set(corners, body);
      }
      for (const gone of others.values()) {
        scene.remove(gone);
        gone.geometry.dispose();
      }
      others = next;
    },
    draw: (view) => {
      const { right, up, to } = axesOf(view);
      const [x, y, z] = seen.middle;
      const far = 2 * Math.hypot(...seen.half) + 1;
      camera.position.set(x + far * to[0], y + far * to[1], z + far * to[2]);
      camera.up.set(...up);
      camera.lookAt(x, y, z);
      const top = reachUp(view, seen, width, height);
      const side = (top * width) / height;
      Object.assign(camera, { left: -side, right: side, top, bottom: -top, near: 0, far: 2 * far });
      camera.updateProjectionMatrix();
      sun.position.set(to[0] + 0.6 * up[0] - 0.5 * right[0], to[1] + 0.6 * up[1] - 0.5 * right[1], to[2] + 0.6 * up[2] - 0.5 * right[2]);
      renderer.render(scene, camera);
    },
    size: (w, h) => {
      [width, height] = [w, h];
      renderer.setPixelRatio(window.devicePixelRatio);
      renderer.setSize(w, h, false);
    },
    end: () => {
      mesh.geometry.dispose();
      lines.geometry.dispose();
      for (const body of others.values()) body.geometry.dispose();
      for (const m of [metal, section, stands, line]) m.dispose();
      renderer.dispose();
    },
  };
}

function bodyOf(corners: Float32Array<ArrayBuffer>, material: MeshLambertMaterial): Mesh {
  const raw = new BufferGeometry();
  raw.setAttribute('position', new BufferAttribute(corners, 3));
  return new Mesh(toCreasedNormals(raw, (CREASE * Math.PI) / 180), material);
}
