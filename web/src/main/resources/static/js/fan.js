import {trace} from './paths.js';

// Passes of a wire lie some hundredths of a millimetre beside each other. The fan spreads them on the
// screen by a factor, at right angles to the profile; the data stay as they are.

/** The steps of the control. */
export const FANS = [1, 5, 15, 40];

/** A path moved off its profile by the factor times its offset; side 1: the wire runs to its left. */
export function fanned(d, side, offset, factor) {
  if (factor === 1 || side === 0 || d.length < 5) {
    return d;
  }
  const by = offset * (factor - 1) * side;
  const count = (d.length - 2) / 3;
  const normals = [];
  for (let i = 0; i < count; i++) {
    const x = i ? d[2 + 3 * (i - 1)] : d[0];
    const y = i ? d[3 + 3 * (i - 1)] : d[1];
    const dx = d[2 + 3 * i] - x;
    const dy = d[3 + 3 * i] - y;
    const angle = Math.atan2(dy, dx);
    const half = 2 * Math.atan(d[4 + 3 * i]);
    normals.push([normal(angle - half), normal(angle + half)]);
  }
  const moved = [...d];
  const at = (i) => (i ? 2 + 3 * (i - 1) : 0);
  for (let i = 0; i <= count; i++) {
    const [nx, ny] = joint(normals[i - 1]?.[1] ?? normals[i][0], normals[i]?.[0] ?? normals[i - 1][1]);
    moved[at(i)] += nx * by;
    moved[at(i) + 1] += ny * by;
  }
  return moved;
}

/** Unit vector to the left of a direction. */
const normal = (angle) => [-Math.sin(angle), Math.cos(angle)];

/** Where two parallels meet, for a distance of 1; sharp corners are cut short. */
function joint([ax, ay], [bx, by]) {
  const share = Math.max(0.4, 1 + ax * bx + ay * by);
  return [(ax + bx) / share, (ay + by) / share];
}

/** One path for each number of a pass. */
export function passPaths(passes, factor) {
  const paths = [];
  for (const {pass, side, offset, d} of passes) {
    trace(paths[pass] ??= new Path2D(), fanned(d, side, offset, factor));
  }
  return paths;
}
