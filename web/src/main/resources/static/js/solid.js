import {askOfRun} from './ask.js';
import * as THREE from 'three';
import {OrbitControls} from 'three/addons/controls/OrbitControls.js';
import {FANS, fanned} from './fan.js';
import {readColours} from './painter.js';

// The work of a wire machine in space: both contours with the faces between them, the guides, the wire,
// pieces that leave, the passes. It follows the player, and is turned, moved and zoomed by pointer, touch and keys.

const [KIND, X, Y, END] = [0, 1, 2, 4];

/** Share of the height by which a free piece leaves before it is out of the picture. */
const LEAVES = 1.6;

/** Machine time over which it leaves, s. */
const LEAVING = 20;

const MOST_FACES = 200000;

/** Where the eye stands at first: times the size of the work away, radians above the table and round. */
const [FAR, UP, AROUND] = [1.7, 0.75, -0.9];

/** How near and how far it may go, as shares of that. */
const [NEAREST, FARTHEST] = [0.02, 8];

export class Solid {
  #frame = 0;

  constructor(element, player) {
    this.element = element;
    this.player = player;
    this.fan = 1;
    player?.addEventListener('moment', () => this.#follow());
    new ResizeObserver(() => this.#resize()).observe(element);
  }

  /** Fetches and shows the work of a job; says why when it cannot be shown. */
  async show(job) {
    this.data = await askOfRun(job, 'solid');
    if (this.data === null) {
      return 'There is no plan to show.';
    }
    try {
      this.renderer ??= new THREE.WebGLRenderer({antialias: true, preserveDrawingBuffer: true});
    } catch {
      return 'This browser cannot draw in space: it has no WebGL.';
    }
    if (!this.renderer.domElement.isConnected) {
      this.element.prepend(this.renderer.domElement);
    }
    this.#build();
    this.#resize();
    this.element.dataset.shown = job;
    return '';
  }

  /** Gives back what it holds of the graphics card. */
  clear() {
    this.scene?.traverse(dispose);
    this.scene = null;
  }

  fanOut(factor) {
    this.fan = factor;
    if (this.data && this.scene) {
      this.#passes();
      this.#draw();
    }
  }

  #build() {
    this.clear();
    const c = readColours();
    this.colours = c;
    const {stock: [left, bottom, right, top], height} = this.data;
    this.middle = new THREE.Vector3((left + right) / 2, (bottom + top) / 2, height / 2);
    this.size = Math.hypot(right - left, top - bottom, height);
    this.scene = new THREE.Scene();
    this.scene.background = new THREE.Color(c.tableGround);
    this.#eye();
    this.scene.add(new THREE.HemisphereLight(0xffffff, 0x9a8f7a, 2.2));
    const sun = new THREE.DirectionalLight(0xffffff, 1.4);
    sun.position.set(left - 100, bottom - 200, 400);
    this.scene.add(sun);
    this.#stock(c);
    this.bodies = this.data.bodies.map((body) => this.#body(body, c));
    this.#machine(c);
    this.#passes();
    this.#follow();
  }

  /** It stays where somebody has turned it, while the work is the same. */
  #eye() {
    const of = JSON.stringify([this.data.stock, this.data.height]);
    if (this.seen === of) {
      return;
    }
    this.seen = of;
    this.controls?.dispose();
    this.camera = new THREE.PerspectiveCamera(35, 1, this.size / 500, this.size * 20);
    this.camera.up.set(0, 0, 1);
    const away = new THREE.Vector3(Math.cos(UP) * Math.cos(AROUND), Math.cos(UP) * Math.sin(AROUND), Math.sin(UP));
    this.camera.position.copy(this.middle).addScaledVector(away, this.size * FAR);
    this.controls = new OrbitControls(this.camera, this.element);
    this.controls.target.copy(this.middle);
    this.controls.minDistance = this.size * FAR * NEAREST;
    this.controls.maxDistance = this.size * FAR * FARTHEST;
    this.controls.keyPanSpeed = 20;
    this.controls.listenToKeyEvents(this.element);
    this.controls.addEventListener('change', () => this.#draw());
    this.controls.update();
  }

  #stock(c) {
    const {stock: [left, bottom, right, top], height} = this.data;
    const box = new THREE.BoxGeometry(right - left, top - bottom, height);
    const edges = new THREE.LineSegments(new THREE.EdgesGeometry(box), new THREE.LineBasicMaterial({color: c.lineStrong}));
    edges.position.copy(this.middle);
    this.scene.add(edges);
  }

  /** Flanks between both contours; of a piece that comes free also its lower and upper side. */
  #body(body, c) {
    const group = new THREE.Group();
    const part = body.kind === 'punch';
    const colour = new THREE.Color(part ? c.leaf : c.amberPale);
    const solid = new THREE.MeshLambertMaterial({color: colour, side: THREE.DoubleSide, transparent: !part, opacity: part ? 1 : 0.85});
    if (body.lower.length < MOST_FACES) {
      group.add(new THREE.Mesh(this.#faces(body), solid));
      if (body.kind !== 'open') {
        const inside = part ? this.data.bodies.filter((b) => b.kind === 'opening' && contains(body.lower, b.lower[0], b.lower[1])) : [];
        group.add(this.#lid(body.lower, inside.map((b) => b.lower), 0, solid), this.#lid(body.upper, inside.map((b) => b.upper), this.data.height, solid));
      }
    }
    const wall = new THREE.Group();
    wall.add(this.#line(body.lower, 0, c.leafDeep), this.#line(body.upper, this.data.height, c.leafDeep));
    wall.add(this.#rulings(body, c));
    if (!part && body.kind !== 'open') {
      const flank = new THREE.MeshLambertMaterial({color: new THREE.Color(c.leafPale), side: THREE.DoubleSide, transparent: true, opacity: 0.55});
      wall.add(new THREE.Mesh(this.#faces(body), flank));
    }
    this.scene.add(group, wall);
    return {body, group};
  }

  #faces({lower, upper}) {
    const {height} = this.data;
    const count = lower.length / 2;
    const places = new Float32Array(count * 6);
    for (let i = 0; i < count; i++) {
      places.set([lower[2 * i], lower[2 * i + 1], 0, upper[2 * i], upper[2 * i + 1], height], 6 * i);
    }
    const faces = [];
    for (let i = 0; i + 1 < count; i++) {
      faces.push(2 * i, 2 * i + 2, 2 * i + 1, 2 * i + 1, 2 * i + 2, 2 * i + 3);
    }
    const geometry = new THREE.BufferGeometry();
    geometry.setAttribute('position', new THREE.BufferAttribute(places, 3));
    geometry.setIndex(faces);
    geometry.computeVertexNormals();
    return geometry;
  }

  /** A side of a piece, with the openings in it. */
  #lid(way, openings, z, material) {
    const shape = new THREE.Shape(points(way));
    shape.holes = openings.map((o) => new THREE.Path(points(o)));
    const lid = new THREE.Mesh(new THREE.ShapeGeometry(shape), material);
    lid.position.z = z;
    return lid;
  }

  #line(way, z, colour) {
    const places = [];
    for (let i = 0; i < way.length; i += 2) {
      places.push(way[i], way[i + 1], z);
    }
    return this.#strand(places, colour, THREE.Line);
  }

  #strand(places, colour, Kind) {
    const geometry = new THREE.BufferGeometry();
    geometry.setAttribute('position', new THREE.Float32BufferAttribute(places, 3));
    return new Kind(geometry, new THREE.LineBasicMaterial({color: new THREE.Color(colour)}));
  }

  /** Lines from the lower to the upper contour: all where there are few, else some. */
  #rulings({lower, upper}, c) {
    const count = lower.length / 2;
    const step = Math.max(1, Math.ceil(count / 90));
    const places = [];
    for (let i = 0; i < count; i += step) {
      places.push(lower[2 * i], lower[2 * i + 1], 0, upper[2 * i], upper[2 * i + 1], this.data.height);
    }
    return this.#strand(places, c.sea, THREE.LineSegments);
  }

  #machine(c) {
    const radius = Math.max(2, this.size / 45);
    const guide = new THREE.CylinderGeometry(radius, radius * 0.55, radius, 24);
    guide.rotateX(Math.PI / 2);
    const metal = new THREE.MeshLambertMaterial({color: new THREE.Color(c.inkSoft)});
    this.upperGuide = new THREE.Mesh(guide, metal);
    this.lowerGuide = new THREE.Mesh(guide, metal);
    this.lowerGuide.rotation.x = Math.PI;
    this.radius = radius;
    const wire = new THREE.CylinderGeometry(this.size / 400, this.size / 400, 1, 8);
    wire.rotateX(Math.PI / 2);
    this.wire = new THREE.Mesh(wire, new THREE.MeshBasicMaterial({color: new THREE.Color(c.rose)}));
    this.scene.add(this.upperGuide, this.lowerGuide, this.wire);
  }

  /** Passes along the lower and the upper side, spread by the fan. */
  #passes() {
    this.lines?.removeFromParent();
    this.lines?.traverse(dispose);
    this.lines = new THREE.Group();
    for (const {pass, side, offset, lower, upper} of this.data.passes) {
      const colour = new THREE.Color(this.colours.rose).lerp(new THREE.Color(this.colours.paper), Math.min(0.6, 0.16 * (pass - 1)));
      this.lines.add(this.#line(spread(lower, side, offset, this.fan), 0, colour), this.#line(spread(upper, side, offset, this.fan), this.data.height, colour));
    }
    this.scene.add(this.lines);
  }

  // ---- what moves

  #follow() {
    if (!this.scene || this.element.hidden) {
      return;
    }
    const {rows, index, moment} = this.player ?? {rows: [], index: 0, moment: 0};
    const row = rows[index];
    if (row) {
      const begin = this.player.begins(index);
      const share = row[END] > begin ? Math.min(1, (moment - begin) / (row[END] - begin)) : 1;
      const [x, y] = this.player.place ?? [row[X], row[Y]];
      const upper = this.#upper(index, row, share, x, y);
      this.#hang([x, y], upper, this.data.threaded[index]);
    } else {
      this.#hang([0, 0], [0, 0], false);
    }
    for (const {body, group} of this.bodies) {
      this.#leave(body, group, moment);
    }
    this.#draw();
  }

  /** An upright wire stands where its lower end is; a leaning one runs straight between its places. */
  #upper(index, row, share, x, y) {
    const {upper} = this.data;
    const to = [upper[2 * index], upper[2 * index + 1]];
    const from = index ? [upper[2 * index - 2], upper[2 * index - 1]] : [0, 0];
    const before = index ? [this.player.startX[index], this.player.startY[index]] : [0, 0];
    const upright = Math.hypot(to[0] - row[X], to[1] - row[Y]) < 1e-3 && Math.hypot(from[0] - before[0], from[1] - before[1]) < 1e-3;
    return upright ? [x, y] : [from[0] + (to[0] - from[0]) * share, from[1] + (to[1] - from[1]) * share];
  }

  #hang([x, y], [u, v], threaded) {
    const {height, lowerGuide, upperGuide} = this.data;
    const at = (z) => new THREE.Vector3(x + (u - x) * z / height, y + (v - y) * z / height, z);
    const low = at(lowerGuide);
    const high = at(upperGuide);
    this.lowerGuide.position.copy(low).add(new THREE.Vector3(0, 0, -this.radius / 2));
    this.upperGuide.position.copy(high).add(new THREE.Vector3(0, 0, this.radius / 2));
    this.wire.visible = threaded;
    this.wire.position.copy(low).lerp(high, 0.5);
    this.wire.scale.set(1, 1, low.distanceTo(high));
    this.wire.lookAt(high);
    this.element.dataset.threaded = threaded;
  }

  #leave(body, group, moment) {
    const {rows} = this.player ?? {rows: []};
    const end = body.freed >= 0 && rows[body.freed] ? rows[body.freed][END] : Infinity;
    const share = Math.max(0, Math.min(1, (moment - end) / LEAVING));
    const way = body.exit === 'up' ? 1 : body.exit === 'none' ? 0 : -1;
    group.position.z = way * share * LEAVES * this.data.height;
    group.visible = body.kind === 'punch' || share < 1 || way === 0;
  }

  #resize() {
    if (!this.renderer || !this.camera || this.element.hidden || !this.element.clientWidth) {
      return;
    }
    this.renderer.setPixelRatio(devicePixelRatio || 1);
    this.renderer.setSize(this.element.clientWidth, this.element.clientHeight);
    this.camera.aspect = this.element.clientWidth / this.element.clientHeight;
    this.camera.updateProjectionMatrix();
    this.#follow();
  }

  #draw() {
    if (!this.#frame && this.scene) {
      this.#frame = requestAnimationFrame(() => {
        this.#frame = 0;
        if (this.scene) {
          this.renderer.render(this.scene, this.camera);
        }
      });
    }
  }
}

function dispose({geometry, material}) {
  geometry?.dispose();
  material?.dispose();
}

function points(way) {
  const list = [];
  for (let i = 0; i + 3 < way.length; i += 2) {
    list.push(new THREE.Vector2(way[i], way[i + 1]));
  }
  return list;
}

/** Whether a place lies within a closed way. */
function contains(way, x, y) {
  let inside = false;
  for (let i = 0; i + 3 < way.length; i += 2) {
    const [x0, y0, x1, y1] = way.slice(i, i + 4);
    if (y0 > y !== y1 > y && x < x0 + (x1 - x0) * (y - y0) / (y1 - y0)) {
      inside = !inside;
    }
  }
  return inside;
}

/** A way of straight stretches spread by the fan. */
function spread(way, side, offset, factor) {
  if (factor === FANS[0]) {
    return way;
  }
  const flat = [way[0], way[1]];
  for (let i = 2; i < way.length; i += 2) {
    flat.push(way[i], way[i + 1], 0);
  }
  const moved = fanned(flat, side, offset, factor);
  const spread = [moved[0], moved[1]];
  for (let i = 2; i < moved.length; i += 3) {
    spread.push(moved[i], moved[i + 1]);
  }
  return spread;
}
