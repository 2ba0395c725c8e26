import * as THREE from 'three';
import {OrbitControls} from 'three/addons/controls/OrbitControls.js';
import {readColours} from './painter.js';

// What views in space share: light, an eye that is turned, moved and zoomed by pointer, touch and keys, and drawing
// when something has changed.

/** Where the eye stands at first: times the size away, radians above the floor and round. */
const [FAR, UP, AROUND] = [1.9, 0.5, -1.1];

export const vector = ([x, y, z]) => new THREE.Vector3(x, y, z);

export class Stage {
  #frame = 0;

  constructor(element) {
    this.element = element;
    new ResizeObserver(() => this.resize()).observe(element);
  }

  /** Whether this browser can draw in space. */
  open() {
    try {
      this.renderer ??= new THREE.WebGLRenderer({antialias: true, preserveDrawingBuffer: true});
    } catch {
      return false;
    }
    if (!this.renderer.domElement.isConnected) {
      this.element.prepend(this.renderer.domElement);
    }
    return true;
  }

  /** An empty scene with light; answers the colours of the theme. */
  lit() {
    const colours = readColours();
    this.scene = new THREE.Scene();
    this.scene.background = new THREE.Color(colours.tableGround);
    this.scene.add(new THREE.HemisphereLight(0xffffff, 0x9a8f7a, 2.4));
    const sun = new THREE.DirectionalLight(0xffffff, 1.3);
    sun.position.set(-300, -600, 900);
    this.scene.add(sun);
    return colours;
  }

  /** Looks at all that lies in a box. */
  lookAt(box, far = FAR, up = UP) {
    this.middle = box.getCenter(new THREE.Vector3());
    this.size = box.getSize(new THREE.Vector3()).length();
    this.camera = new THREE.PerspectiveCamera(35, 1, this.size / 500, this.size * 20);
    this.camera.up.set(0, 0, 1);
    const away = new THREE.Vector3(Math.cos(up) * Math.cos(AROUND), Math.cos(up) * Math.sin(AROUND), Math.sin(up));
    this.camera.position.copy(this.middle).addScaledVector(away, this.size * far);
    this.controls?.dispose();
    this.controls = new OrbitControls(this.camera, this.element);
    this.controls.target.copy(this.middle);
    this.controls.keyPanSpeed = 20;
    this.controls.listenToKeyEvents(this.element);
    this.controls.addEventListener('change', () => this.draw());
    this.controls.update();
  }

  resize() {
    if (!this.renderer || !this.camera || this.element.hidden || !this.element.clientWidth) {
      return;
    }
    this.renderer.setPixelRatio(devicePixelRatio || 1);
    this.renderer.setSize(this.element.clientWidth, this.element.clientHeight);
    this.camera.aspect = this.element.clientWidth / this.element.clientHeight;
    this.camera.updateProjectionMatrix();
    this.draw();
  }

  draw() {
    if (!this.#frame && this.scene && this.camera) {
      this.#frame = requestAnimationFrame(() => {
        this.#frame = 0;
        this.renderer.render(this.scene, this.camera);
      });
    }
  }
}
